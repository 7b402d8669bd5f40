import { getContext, setContext } from 'svelte';
import {
	showLength,
	showLoad,
	showRate,
	type Millimetres,
	type Newtons,
	type NewtonsPerMillimetre,
	type Person,
	type Units
} from '@zinc-ledger/core';
import { OPEN, type Access } from '$lib/access/access';
import { reaches, type Role } from '$lib/access/roles';

export type Scheme = 'light' | 'dark';

/** What stands where there is no figure. */
const NONE = '·';

/** Who works at this bench and how they read: person, units, light or dark. */
export class Bench {
	person = $state.raw<Person | null>(null);
	units = $state.raw<Units>({ length: 'in', load: 'lbf' });

	/** How this browser is let in. */
	access = $state.raw<Access>(OPEN);

	/** Whether they were chosen; else each job is read as it was measured. */
	unitsChosen = $state(true);

	constructor(person: Person | null, units: Units, unitsChosen = true) {
		this.person = person;
		this.units = units;
		this.unitsChosen = unitsChosen;
	}

	/** Whether whoever is here may do what takes a role. */
	may = (min: Role): boolean => reaches(this.access.role, min);

	/** A length in the units of this bench. */
	length = (value: Millimetres | null | undefined): string =>
		value == null ? NONE : showLength(value, this.units);
	/** A load in the units of this bench, to the digits of the tester that gave it. */
	load = (value: Newtons | null | undefined, resolution?: Newtons): string =>
		value == null ? NONE : showLoad(value, this.units, resolution);
	/** A rate in the units of this bench. */
	rate = (value: NewtonsPerMillimetre | null | undefined): string =>
		value == null ? NONE : showRate(value, this.units);

	/** Units chosen since the page was opened stand, whatever pages were loaded before that. */
	#isNewer = false;

	/** Takes over what the server said of who works here, and in which units this page reads. */
	hear(person: Person | null, units: Units, unitsChosen: boolean): void {
		if (person?.id !== this.person?.id) this.#isNewer = false;
		this.person = person;
		if (this.#isNewer) return;
		this.units = units;
		this.unitsChosen = unitsChosen;
	}

	/** Switches units at once; the choice is kept in the background. */
	async read(units: Units): Promise<void> {
		this.#isNewer = true;
		this.units = units;
		this.unitsChosen = true;
		await keep({ units });
	}

	/** Reads each job as it was measured from now on; the page at hand once it is loaded again. */
	async readAsMeasured(): Promise<void> {
		this.#isNewer = false;
		this.unitsChosen = false;
		await keep({ units: null });
	}

	async light(scheme: Scheme): Promise<void> {
		document.documentElement.dataset.scheme = scheme;
		await keep({ scheme });
	}
}

async function keep(choice: { units?: Units | null; scheme?: Scheme }): Promise<void> {
	await fetch('/api/bench', {
		method: 'PUT',
		headers: { 'content-type': 'application/json' },
		body: JSON.stringify(choice)
	}).catch(() => undefined);
}

const KEY = Symbol('bench');
export const setBench = (bench: Bench) => setContext(KEY, bench);
export const getBench = () => getContext<Bench>(KEY);
