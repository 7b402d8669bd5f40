/** The lines to the server that all tabs of this browser share. */
import { Tabs, type FromTab } from './tabs';

const tabs = new Tabs();

globalThis.addEventListener('connect', (event) => {
	const port = (event as MessageEvent).ports[0]!;
	const tab = { post: (news: unknown) => port.postMessage(news) };
	port.onmessage = ({ data }: MessageEvent<FromTab>) => tabs.hear(tab, data);
});
