import {
	correctionInForce,
	MM_PER,
	NEWTONS_PER,
	READS,
	type Gauge,
	type GaugeCheck,
	type Units
} from '@zinc-ledger/core';

/** The correction in force of a gauge, said: "+0.001 in" or "× 0.9990 + 0.4 N". */
export function correctionWords(gauge: Gauge, checks: readonly GaugeCheck[], units: Units): string {
	const texts = READS[gauge.type].flatMap((dimension) => {
		const { gain, offset, residuals } = correctionInForce(checks, dimension);
		if (residuals.length === 0) return [];
		const shown =
			dimension === 'length' ? offset / MM_PER[units.length] : offset / NEWTONS_PER[units.load];
		const digits = shown.toFixed(dimension === 'load' ? 1 : units.length === 'in' ? 4 : 3);
		const unit = dimension === 'length' ? units.length : units.load;
		const by =
			Number(digits) === 0 ? '' : `${shown > 0 ? '+' : '−'}${digits.replace('-', '')} ${unit}`;
		const times = gain === 1 ? '' : `× ${gain.toFixed(4)}`;
		return [[times, by].filter(Boolean).join(' ') || 'none needed'];
	});
	return texts.join(', ') || 'none: not checked yet';
}
