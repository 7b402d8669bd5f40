/** A browser that is signed in, as the server knows it. */
export interface Session {
	readonly key: string;
	readonly atBench: boolean;
	/** Whether whoever is at it came by PIN. */
	readonly byPin: boolean;
}
