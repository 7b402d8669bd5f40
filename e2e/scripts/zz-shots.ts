import { writeFileSync } from 'node:fs';
import { Browser } from '../support/browser.ts';
const [, , ...args] = process.argv; // name=path@WxH[!js]
const b = await Browser.open('http://127.0.0.1:4680');
try {
	if (process.env.PERSON) {
		await b.go('/bench');
		await b.click(process.env.PERSON, 'button');
		await new Promise((r) => setTimeout(r, 800));
	}
	for (const arg of args) {
		const m = /^(\w+)=(.*)@(\d+)x(\d+)(?:!(.*))?$/.exec(arg)!;
		await b.devtools('Emulation.setDeviceMetricsOverride', {
			width: +m[3]!,
			height: +m[4]!,
			deviceScaleFactor: 1,
			mobile: +m[3]! < 700
		});
		await b.go(m[2]!);
		if (m[5]) await b.run(m[5]);
		await new Promise((r) => setTimeout(r, 900));
		writeFileSync(`/tmp/shots/${m[1]}.png`, await b.driver.takeScreenshot(), 'base64');
		const over = await b.run<number>(
			'return document.documentElement.scrollWidth - document.documentElement.clientWidth'
		);
		if (over > 0) console.log(m[1], 'sideways', over);
	}
} finally {
	await b.close();
}
