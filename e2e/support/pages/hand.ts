/** What a person's hand does on a page; each page of this folder says what it does there. */
export interface Fills {
	fill(label: string, text: string): Promise<void>;
}
export interface Hand extends Fills {
	click(text: string, tags?: string): Promise<void>;
	sees(text: string): Promise<void>;
}
