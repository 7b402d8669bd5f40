export const load = ({ locals, cookies }) => ({
	person: locals.person,
	units: locals.units,
	unitsChosen: locals.chosenUnits !== null,
	scheme: cookies.get('zinc-scheme') === 'dark' ? ('dark' as const) : ('light' as const)
});
