/** Properties that a style sheet gives a drawing and that must go with it. */
const CARRIED = [
	'fill',
	'stroke',
	'stroke-width',
	'stroke-dasharray',
	'stroke-linecap',
	'paint-order',
	'font-family',
	'font-size',
	'font-weight'
] as const;

/** A drawing of the page as a file of its own: what it looks like is written into it. */
export function svgText(svg: SVGSVGElement): string {
	const copy = svg.cloneNode(true) as SVGSVGElement;
	const of = [svg, ...svg.querySelectorAll<SVGElement>('*')];
	[copy, ...copy.querySelectorAll<SVGElement>('*')].forEach((element, i) => {
		const style = getComputedStyle(of[i]!);
		element.removeAttribute('class');
		for (const name of CARRIED) element.setAttribute(name, style.getPropertyValue(name));
	});
	copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
	return new XMLSerializer().serializeToString(copy);
}
