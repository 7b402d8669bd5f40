/**
 * Reading and writing job files. A file is taken whole or not at all; every
 * problem in it is told with its path.
 */
import { FORMAT, Job, VERSION } from './schema.ts';

export interface Problem {
	/** Where in the file: "readings[3].read", or "line 214" where it is not JSON at all. */
	readonly path: string;
	readonly message: string;
}

export type Read = { ok: true; job: Job } | { ok: false; problems: readonly Problem[] };

/**
 * Reads the text of a job file.
 *
 * @returns the job, or every problem found, worst first where one hides the rest
 */
export function readJob(text: string): Read {
	let value: unknown;
	try {
		value = JSON.parse(text);
	} catch (error) {
		return { ok: false, problems: [notJson(text, error as SyntaxError)] };
	}
	return checkJob(value);
}

/** Checks a value that is already parsed, as {@link readJob} does for a text. */
export function checkJob(value: unknown): Read {
	const strange = strangeFile(value);
	if (strange) return { ok: false, problems: [strange] };
	const result = Job.safeParse(value);
	if (result.success) return { ok: true, job: result.data };
	return {
		ok: false,
		problems: result.error.issues.map((issue) => ({
			path: pathText(issue.path),
			message: issue.message
		}))
	};
}

/** A job as the text of a file: two spaces, keys in the schema's order, a newline at the end. */
export function writeJob(job: Job): string {
	return `${JSON.stringify(job, null, 2)}\n`;
}

/** "readings[3].read" from ['readings', 3, 'read']; "the file" for the top. */
export function pathText(path: readonly PropertyKey[]): string {
	return (
		path.reduce<string>((text, key) => {
			if (typeof key === 'number') return `${text}[${key}]`;
			return text === '' ? String(key) : `${text}.${String(key)}`;
		}, '') || 'the file'
	);
}

function strangeFile(value: unknown): Problem | null {
	if (typeof value !== 'object' || value === null || Array.isArray(value)) {
		return { path: 'the file', message: 'is not a job: a job file holds one JSON object' };
	}
	const { format, version } = value as Record<string, unknown>;
	if (format !== FORMAT) {
		return { path: 'format', message: `must be "${FORMAT}": this is not a job file` };
	}
	if (typeof version === 'number' && version > VERSION) {
		return {
			path: 'version',
			message: `was written by a newer program (version ${version}; this one reads up to ${VERSION})`
		};
	}
	return null;
}

function notJson(text: string, error: SyntaxError): Problem {
	const lines = text.split('\n').length;
	const at = /position (\d+)/.exec(error.message);
	const cutOff = /end of JSON|Unterminated/.test(error.message);
	const position = at ? Number(at[1]) : cutOff ? text.length : 0;
	if (text.trim() === '') return { path: 'the file', message: 'is empty' };
	if (cutOff || position >= text.trimEnd().length) {
		return {
			path: `line ${lines}`,
			message: 'the file ends in the middle: it was cut off when it was saved or sent'
		};
	}
	const line = text.slice(0, position).split('\n').length;
	return { path: `line ${line}`, message: 'is not JSON from here on' };
}
