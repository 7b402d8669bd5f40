import { writeFileSync } from 'node:fs';
import { Browser } from '../support/browser.ts';
const [w, h, ...shots] = process.argv.slice(2);
const b = await Browser.open('http://127.0.0.1:4680');
try {
	await b.workAs('Runa Tarn');
	await b.size(Number(w), Number(h));
	for (const shot of shots) {
		const [head, ...acts] = shot.split('@').filter(Boolean);
		const name = head;
		const [target, ...rest] = acts;
		const m = /^#(\w+)(.*)$/.exec(target!);
		await b.go(m ? (await b.openJob(m[1]!)) + m[2] : target!);
		for (const act of rest) {
			if (/^\d+$/.test(act)) await new Promise((r) => setTimeout(r, Number(act)));
			else if (act.includes('=')) await b.fill(act.split('=')[0]!, act.split('=')[1]!);
			else await b.click(act);
		}
		await new Promise((r) => setTimeout(r, 700));
		writeFileSync(`/tmp/zz/${name}.png`, await b.driver.takeScreenshot(), 'base64');
		console.log(name);
	}
} finally {
	await b.close();
}
