import { KINDS, type Cam } from '@zinc-ledger/core';
import type { Values } from '$lib/forms/flat';

/** In the form: the cam that the job has already. */
export const OWN_CAM = 'own';

/** What a cam brings into the form of a set-up: lobe lifts, and lash; another cam's lash does not stay. */
export const camValues = (cam: Cam): Values =>
	Object.fromEntries(
		KINDS.flatMap((kind) => {
			const { lobe, lash } = cam[kind];
			const at = `kinds.${kind}`;
			return [
				[`${at}.lift.type`, 'lobe'],
				[`${at}.lift.lobe`, lobe],
				[`${at}.lift.source`, 'card'],
				[`${at}.lash.setting`, lash ?? ''],
				[`${at}.lash.source`, 'card'],
				...(lash === undefined ? [[`${at}.lash.tolerance`, '']] : [])
			];
		})
	);
