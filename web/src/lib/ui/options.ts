/** One of what may be chosen. */
export interface Option<Value extends string = string> {
	readonly value: Value;
	readonly label: string;
	/** What tells it from others, in small. */
	readonly note?: string | undefined;
	readonly disabled?: boolean;
}

/** Options whose words are their values. */
export const plain = <Value extends string>(values: readonly Value[]): Option<Value>[] =>
	values.map((value) => ({ value, label: value }));

const MAX_RECENT = 4;
const keyOf = (list: string) => `zinc-used-${list}`;

/** What was chosen last from a list at this bench, newest first. */
export function recentlyUsed(list: string): readonly string[] {
	try {
		const kept: unknown = JSON.parse(localStorage.getItem(keyOf(list)) ?? '[]');
		return Array.isArray(kept) ? kept.filter((value) => typeof value === 'string') : [];
	} catch {
		return [];
	}
}

export function used(list: string, value: string): void {
	const kept = [value, ...recentlyUsed(list).filter((one) => one !== value)];
	try {
		localStorage.setItem(keyOf(list), JSON.stringify(kept.slice(0, MAX_RECENT)));
	} catch {
		// A browser that keeps nothing forgets only what was used last.
	}
}

/** The options that hold every word typed, in any order. */
export function matching<Of extends Option>(options: readonly Of[], typed: string): readonly Of[] {
	const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
	return options.filter(({ label, note }) => {
		const text = `${label} ${note ?? ''}`.toLowerCase();
		return words.every((word) => text.includes(word));
	});
}
