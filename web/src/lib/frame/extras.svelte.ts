/** Which phases of the rail show all their views: what was opened once at this bench stays open. */
import { onMount } from 'svelte';
import { PHASES, type Phase } from '@zinc-ledger/core';

const KEY = 'zinc-rail-open';

function stored(): Phase[] {
	try {
		const kept: unknown = JSON.parse(localStorage.getItem(KEY) ?? '[]');
		return Array.isArray(kept) ? PHASES.filter((phase) => kept.includes(phase)) : [];
	} catch {
		return [];
	}
}

/** The phases that are open, for one component; read once the page is the browser's. */
export function openedExtras() {
	let open = $state.raw<readonly Phase[]>([]);
	onMount(() => {
		open = stored();
	});
	return {
		isOpen: (phase: Phase) => open.includes(phase),
		toggle(phase: Phase) {
			open = open.includes(phase) ? open.filter((one) => one !== phase) : [...open, phase];
			try {
				localStorage.setItem(KEY, JSON.stringify(open));
			} catch {
				// A browser that keeps nothing shows the rail folded next time.
			}
		}
	};
}
