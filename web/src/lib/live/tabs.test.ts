import { describe, expect, it } from 'vitest';
import type { Line, LineHears } from './line.ts';
import { SIGN_OF_LIFE, Tabs, type ToTab } from './tabs.ts';

/** Tabs over lines that only write down what they are to bring. */
function opened() {
	const lines: { hears: LineHears; topics: string[] }[] = [];
	const tabs = new Tabs((hears) => {
		const line = { hears, topics: [] as string[] };
		lines.push(line);
		return {
			listen: (topics: ReadonlySet<string>) => (line.topics = [...topics])
		} as unknown as Line;
	});
	const tab = () => {
		const heard: ToTab[] = [];
		return { heard, post: (news: ToTab) => void heard.push(news) };
	};
	return { tabs, tab, jobs: lines[0]!, gauges: lines[1]! };
}

describe('the tabs of one browser', () => {
	it('share one line for jobs and one for gauges', () => {
		const { tabs, tab, jobs, gauges } = opened();
		tabs.hear(tab(), { topics: ['job:a', 'gauge:g'] });
		tabs.hear(tab(), { topics: ['job:a'] });
		tabs.hear(tab(), { topics: ['job:b'] });
		expect([jobs.topics, gauges.topics]).toEqual([['job:a', 'job:b'], ['gauge:g']]);
	});
	it('are each told what they listen to, and that they are heard', () => {
		const { tabs, tab, jobs } = opened();
		const [a, b] = [tab(), tab()];
		tabs.hear(a, { topics: ['job:a'] });
		tabs.hear(b, { topics: ['job:b'] });
		jobs.hears.message('job:a', '{}');
		jobs.hears.opened();
		expect(a.heard.map(({ type }) => type)).toEqual(['alive', 'message', 'opened']);
		expect(b.heard.map(({ type }) => type)).toEqual(['alive', 'opened']);
	});
	it('leave by listening to nothing, and are forgotten where they fell silent', () => {
		const { tabs, tab, jobs } = opened();
		const [a, b] = [tab(), tab()];
		tabs.hear(a, { topics: ['job:a'] }, 0);
		tabs.hear(b, { topics: ['job:b'] }, 0);
		tabs.hear(b, { topics: [] }, SIGN_OF_LIFE);
		expect(jobs.topics).toEqual(['job:a']);
		tabs.hear(b, { topics: ['job:b'] }, 20 * SIGN_OF_LIFE);
		expect(jobs.topics).toEqual(['job:b']);
	});
});
