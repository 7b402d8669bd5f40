import { describe, expect, it } from 'vitest';
import { eventStream } from './event-stream.ts';

describe('a stream of news', () => {
	it('tells what is said', async () => {
		const answer = eventStream((send) => {
			send(['job:a', { changed: true }]);
			return () => undefined;
		});
		const reader = answer.body!.pipeThrough(new TextDecoderStream()).getReader();
		const texts = [await reader.read(), await reader.read()].map(({ value }) => value);
		expect(texts).toEqual([': here\n\n', 'data: ["job:a",{"changed":true}]\n\n']);
		await reader.cancel();
	});
	it('hangs up on a listener that does not keep up, so that nothing is skipped in silence', async () => {
		let left = 0;
		let say: (news: unknown) => void = () => undefined;
		const answer = eventStream((send) => {
			say = send;
			return () => void left++;
		});
		for (let i = 0; i < 1000; i++) say(i);
		expect(left).toBe(1);
		const reader = answer.body!.getReader();
		await expect(
			(async () => {
				while (!(await reader.read()).done);
			})()
		).rejects.toThrow('does not keep up');
	});
	it('ends once whoever listens may no longer', async () => {
		let left = 0;
		let may = true;
		const answer = eventStream(
			() => () => void left++,
			() => Promise.resolve(may),
			5
		);
		const reader = answer.body!.getReader();
		await reader.read();
		await reader.read();
		expect(left).toBe(0);
		may = false;
		while (!(await reader.read()).done);
		expect(left).toBe(1);
	});
});
