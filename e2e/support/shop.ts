/** A shop on its network, asked as the proxy in front of it asks, with somebody of every role. */
import { createHash, randomBytes, randomUUID } from 'node:crypto';
import { query, startApp, type App } from './app.ts';
import { send, type Got } from './send.ts';

export const ROLES = ['reader', 'helper', 'machinist', 'owner'] as const;
export type Role = (typeof ROLES)[number];

export const SECRET = 'what-the-proxy-was-given';
export const NAME = 'bench.test';
export const PASSWORD = 'four plain words in a row';
export const PIN = '7391';
/** What PINs and second factors are kept under. */
export const KEY = Buffer.alloc(32, 'k').toString('base64url');

export interface Asked {
	readonly method?: string;
	readonly headers?: Readonly<Record<string, string>>;
	readonly body?: Buffer | string;
	/** The cookie of a browser that is signed in; none for nobody. */
	readonly cookie?: string | undefined;
}
export interface Answer extends Got {
	/** The session that it set, if any. */
	readonly cookie: string | null;
}

export interface Shop extends App {
	/** Its own address. */
	readonly origin: string;
	/** What the server is told so that it knows the proxy. */
	readonly secret: string;
	/** The person of each role: the demo's, and people added. */
	readonly people: Readonly<Record<Role, string>>;
	/** Asks as a browser behind the proxy does. */
	ask(path: string, asked?: Asked): Promise<Answer>;
	/** Sends a form as a page of the shop's own does. */
	form(path: string, fields: Record<string, string>, cookie?: string): Promise<Answer>;
	/** Signs a new browser in. @returns its cookie */
	signIn(role: Role, atBench?: boolean): Promise<string>;
}

export const userName = (role: Role) => `the.${role}`;

/** What a process of the application is told of its network. */
export const onNetwork = (tlsPort: number) => ({
	ZINC_NETWORK: '1',
	ORIGIN: `https://${NAME}:${tlsPort}`,
	ZINC_PROXY_SECRET: SECRET,
	ZINC_METRICS_TOKEN: 'a token for figures',
	ZINC_KEY: KEY
});

/**
 * Starts the demo on a network of its own; everybody has a sign-in and a PIN.
 *
 * @param tlsPort where its proxy listens, if it has one
 */
export async function startShop(tlsPort?: number): Promise<Shop> {
	const app = await startApp('demo', undefined, (port) => onNetwork(tlsPort ?? port));
	const { port } = new URL(app.url);
	const host = `${NAME}:${tlsPort ?? port}`;
	const origin = `https://${host}`;
	const ask = (path: string, asked: Asked = {}) => behindProxy(port, path, host, asked);
	const form = (path: string, fields: Record<string, string>, cookie?: string) =>
		ask(path, {
			method: 'POST',
			cookie,
			headers: {
				origin,
				accept: 'text/html',
				'content-type': 'application/x-www-form-urlencoded'
			},
			body: new URLSearchParams(fields).toString()
		});
	const people = {} as Record<Role, string>;
	const [known] = (await query(app, 'select id from person order by initials')) as { id: string }[];
	for (const role of ROLES) {
		// The demo's own person is its machinist; the others are new here.
		people[role] = role === 'machinist' ? known!.id : await newPerson(app, role);
		const code = await invited(app, people[role], role);
		const joined = await form('/join', {
			code,
			userName: userName(role),
			password: PASSWORD,
			pin: PIN
		});
		if (joined.cookie === null) throw new Error(`the ${role} could not join: ${joined.text}`);
	}
	const signIn = async (role: Role, atBench = false) => {
		const fields = { userName: userName(role), password: PASSWORD };
		const { cookie, text } = await form('/sign-in', {
			...fields,
			...(atBench && { bench: 'yes' })
		});
		if (cookie === null) throw new Error(`the ${role} could not sign in: ${text}`);
		return cookie;
	};
	return { ...app, origin, secret: SECRET, people, ask, form, signIn };
}

async function newPerson(app: App, role: Role): Promise<string> {
	const id = randomUUID();
	const values = [id, `A ${role}`, `X${role[0]!.toUpperCase()}`];
	await query(app, 'insert into person (id, name, initials) values ($1, $2, $3)', values);
	return id;
}

/** A code as an owner hands it out, or the console; its text is kept nowhere. */
export async function invited(app: App, person: string | null, role: Role): Promise<string> {
	const code = randomBytes(8).toString('hex').toUpperCase();
	const key = createHash('sha256').update(code).digest('hex');
	const values = [key, person, role];
	await query(
		app,
		`insert into invitation (key, person_id, role, until) values ($1, $2, $3, now() + interval '1 day')`,
		values
	);
	return code;
}

async function behindProxy(
	port: string,
	path: string,
	host: string,
	{ method = 'GET', headers = {}, body = '', cookie }: Asked
): Promise<Answer> {
	const answer = await send(port, {
		method,
		path,
		headers: {
			host,
			'x-zinc-proxy': SECRET,
			'x-forwarded-for': '192.0.2.7',
			...(cookie && { cookie }),
			...headers
		},
		body: Buffer.from(body)
	});
	return { ...answer, cookie: sessionIn(answer.headers['set-cookie']) };
}

const sessionIn = (cookies: string[] = []): string | null =>
	cookies.map((one) => /^(__Host-zinc=[\w-]+);/.exec(one)?.[1]).find(Boolean) ?? null;
