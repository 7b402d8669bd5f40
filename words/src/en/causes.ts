/** What to do about each cause, what to measure again afterward, and what to tell the customer. */
import type { Language } from '../catalogue.ts';

export const causes: Language['causes'] = {
	'spring-lost-load': {
		remedy: 'Test the springs on the bench and replace those below the limit.',
		again: 'loads and coil bind',
		customer: 'Valve springs had lost load and could no longer hold the valves at speed.'
	},
	'height-grew': {
		remedy: 'Shim to the target height within the minimums; if that is not enough, fit a new seat.',
		again: 'height, seal gap, lash and piston-to-valve clearance',
		customer: 'Valve seats had worn down, which left the springs with less load.'
	},
	'stem-stretched': {
		remedy: 'Scrap the valve. Check the rest of the set.',
		again: 'everything at that valve',
		customer: 'A valve stem had stretched, which is a warning of a valve about to fail.'
	},
	float: {
		remedy:
			'Fit more spring load or less moving mass, or lower the speed limit. Inspect the valvetrain.',
		again: 'loads and piston-to-valve clearance',
		customer: 'At top speed the springs could not keep the valves on the cam.'
	},
	surge: {
		remedy: 'Fit a damper, or a spring with another natural frequency.',
		again: 'surge order and coil bind',
		customer: 'The spring coils vibrated at one engine speed and lost control of the valve.'
	},
	'coil-bind': {
		remedy: 'Fit a different spring or retainer. Scrap the spring that went solid.',
		again: 'coil bind margin',
		customer: 'A valve spring was pressed solid at full lift and overloaded the valvetrain.'
	},
	'retainer-on-seal': {
		remedy: 'Seat the seal fully or fit a shorter one, or fit plus locks with a shim.',
		again: 'seal gap at lift and tip height',
		customer: 'A spring retainer touched the valve stem seal at full lift.'
	},
	'seal-by-spring': {
		remedy: 'Replace the seal. Fit a smaller seal or locate the spring so that it runs clear.',
		again: 'clearance from spring to seal',
		customer: 'A valve spring had rubbed on the valve stem seal and cut it.'
	},
	'port-pressure': {
		remedy: 'Fit more seat load.',
		again: 'port pressure and nose load',
		customer: 'Boost or exhaust pressure pushed a valve off its seat.'
	},
	'adjuster-loose': {
		remedy: 'Replace the adjuster and its lock nut.',
		again: 'lash, after locking',
		customer: 'A valve adjuster had worked loose.'
	},
	'lash-opened': {
		remedy: 'Find the worn part and replace it with its mating part.',
		again: 'lift and lash',
		customer: 'A part between cam and valve had worn and let the clearance open up.'
	},
	'rocker-nose': {
		remedy: 'Fit minus locks or a lash cap. Replace what was hit.',
		again: 'retainer-to-rocker clearance through the lift',
		customer: 'A rocker arm touched the spring retainer.'
	},
	'rocker-pushrod-side': {
		remedy: 'Find what the rocker rubs on and give it clearance. Check pushrod length and guide.',
		again: 'pushrod clearance and wear pattern on the tip',
		customer: 'A rocker arm rubbed on its pushrod side.'
	},
	'rocker-burnt': {
		remedy: 'Restore the oil supply first, then replace rocker and valve tip cap or valve.',
		again: 'lash',
		customer: 'A rocker ran without enough oil and burned.'
	},
	'rocker-overloaded': {
		remedy: 'Open the exhaust later or fit a stronger rocker. Check the others for cracks.',
		again: 'opening load',
		customer: 'Cylinder pressure at exhaust opening overloaded a rocker.'
	},
	'lobe-worn': {
		remedy: 'Replace cam and lifters together, and flush the oil system.',
		again: 'lift',
		customer: 'A cam lobe had worn, so its valve opened less.'
	},
	lifter: {
		remedy: 'Check the oil, bleed the lifter, and replace it if it does not recover.',
		again: 'plunger travel and preload',
		customer: 'A hydraulic lifter did not hold its oil.'
	},
	pushrod: {
		remedy: 'Find what bent it before you fit another. Check length and guide.',
		again: 'roll check, wear pattern on the tip, coil bind and piston-to-valve clearance',
		customer: 'A pushrod was bent or of the wrong length.'
	},
	'stud-pulling': {
		remedy: 'Replace the stud with a screwed-in one.',
		again: 'stud height and preload',
		customer: 'A rocker stud had begun to pull out of the head.'
	},
	locks: {
		remedy: 'Fit a matching set of locks and retainer.',
		again: 'retainer level and tip height',
		customer: 'Valve locks did not match or were not seated.'
	},
	'locks-pulled': {
		remedy:
			'Replace retainer and locks; replace the valve too unless its groove passes inspection.',
		again: 'taper, tip height and installed height',
		customer: 'The locks had pulled into a retainer, and the valve could have dropped.'
	},
	'valve-sealing': {
		remedy: 'Correct valve, guide, seat and seal, in that order.',
		again: 'runout, stem clearance and leak-down',
		customer: 'A valve did not seal.'
	},
	'valve-met-piston': {
		remedy: 'Correct the cause first. Inspect with a borescope before you turn the engine.',
		again: 'cam timing and piston-to-valve clearance',
		customer: 'A valve had touched a piston.'
	},
	'corroded-spring': {
		remedy: 'Replace the spring, and store springs oiled and dry.',
		again: 'the whole set',
		customer: 'A valve spring was corroded or nicked and cracked from there.'
	},
	fatigue: {
		remedy: 'Replace the whole set.',
		again: 'loads',
		customer: 'The valve springs had run longer than their service limit.'
	},
	'mixed-springs': {
		remedy: 'Fit springs of one spec card only.',
		again: 'spring curves',
		customer: 'Springs of different types were mixed on the head.'
	},
	damper: {
		remedy: 'Replace the damper, and account for every piece of the old one.',
		again: 'coil bind',
		customer: 'A spring damper was broken or missing.'
	},
	gauge: {
		remedy: 'Read a reference on both gauges. Replace no parts.',
		again: 'everything since the gauge last passed a check',
		customer: 'A measuring tool read off; no parts were at fault.'
	},
	temperature: {
		remedy: 'Read lash again on an engine as warm as it was set on. Replace no parts.',
		again: 'lash at like temperature',
		customer: 'Valve lash had been read at another engine temperature; no parts were at fault.'
	},
	'thermal-growth': {
		remedy: 'Set lash for the growth from cold to hot that the cam maker states.',
		again: 'lash hot and cold',
		customer: 'Valve lash changed with engine temperature more than it was set for.'
	},
	elsewhere: {
		remedy: 'Check spark, plugs, plug wires, cap and fuel. Order no springs.',
		again: 'nothing in the valvetrain',
		customer: 'The valvetrain was in order; the fault is elsewhere on the engine.'
	},
	unlisted: {
		remedy: 'Change one thing at a time and record what it does.',
		again: 'what was changed',
		customer: 'The fault is in the valvetrain, and its cause has not been found yet.'
	}
};
