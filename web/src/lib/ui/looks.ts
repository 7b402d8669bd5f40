/** How what is pressed may look; nothing outside this room styles a control. */
export const LOOKS = {
	/** One of several actions. */
	plain: 'button',
	/** The one that the screen is for. */
	main: 'button button-main',
	/** Beside a figure or in a line of text. */
	quiet:
		'min-h-11 bench:min-h-8 inline-flex items-center gap-1.5 underline disabled:text-faint disabled:cursor-not-allowed',
	/** A whole line of a list. */
	row: 'flex min-h-11 bench:min-h-9 w-full items-center gap-2 text-left',
	/** The head of a column that sorts. */
	head: 'inline-block min-h-11 align-bottom leading-tight bench:min-h-0',
	/** A key of the keypad. */
	key: 'grid min-h-14 place-items-center active:bg-chromate-wash',
	/** One of several ways to look at a list; the one in force is pressed. */
	filter:
		'min-h-11 bench:min-h-9 px-2.5 inline-flex items-center aria-pressed:font-semibold aria-pressed:underline aria-[current=page]:font-semibold aria-[current=page]:underline decoration-chromate decoration-2 underline-offset-4',
	/** A part of a row or strip that is pressed where it stands. */
	cell: 'min-h-11 bench:min-h-7 min-w-9 text-left',
	/** On the dark band at the top. */
	band: 'min-h-11 min-w-11 items-center justify-center gap-1.5 text-[13px] text-on-band-soft'
} as const;

export type Look = keyof typeof LOOKS;

/** What drops from a field: the list of a choice. */
export const LIST =
	'z-40 max-h-[min(22rem,var(--bits-floating-available-height))] w-[max(var(--bits-floating-anchor-width),11rem)] max-w-[96vw] overflow-y-auto border border-ink bg-paper py-1 text-ink shadow-lg';
export const OPTION =
	'flex min-h-11 cursor-pointer items-center gap-2 px-3 py-1 bench:min-h-9 data-highlighted:bg-chromate-wash data-disabled:cursor-not-allowed data-disabled:text-faint';
/** What opens over the page. */
export const OVERLAY = 'fixed inset-0 z-20 bg-black/40';
