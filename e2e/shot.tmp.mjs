import { Builder, By, Key } from 'selenium-webdriver';
import chrome from 'selenium-webdriver/chrome.js';
import { writeFileSync, mkdtempSync } from 'node:fs';
const o = new chrome.Options().addArguments(
	'--headless=new',
	'--no-sandbox',
	'--disable-gpu',
	'--disable-quic',
	'--no-first-run',
	'--disable-background-networking',
	'--disable-component-update',
	'--disable-sync',
	'--hide-scrollbars',
	'--window-size=1280,800',
	'--user-data-dir=' + mkdtempSync('/tmp/chr-')
);
o.setChromeBinaryPath('/usr/bin/chromium');
const d = await new Builder()
	.forBrowser('chrome')
	.setChromeOptions(o)
	.setChromeService(new chrome.ServiceBuilder('/usr/bin/chromedriver'))
	.build();
await d.sendDevToolsCommand('Emulation.setDeviceMetricsOverride', {
	width: 1280,
	height: 800,
	deviceScaleFactor: 1,
	mobile: false
});
const base = 'http://127.0.0.1:4600';
try {
	const steps = JSON.parse(process.argv[2]);
	for (const s of steps) {
		if (s.go) await d.get(base + s.go);
		if (s.job) {
			await d.get(base + '/?find=' + s.job);
			const h = await d.findElement(By.css('a[data-job]')).getAttribute('href');
			await d.get(h + (s.sub ?? ''));
		}
		if (s.click) await d.findElement(By.css(s.click)).click();
		if (s.xclick) await d.findElement(By.xpath(s.xclick)).click();
		if (s.keys)
			await d
				.actions()
				.sendKeys(...s.keys.map((k) => Key[k] ?? k))
				.perform();
		if (s.js) await d.executeScript(s.js);
		await new Promise((r) => setTimeout(r, s.wait ?? 500));
		if (s.shot)
			writeFileSync(
				'/tmp/shots/' + s.shot + '.png',
				Buffer.from(await d.takeScreenshot(), 'base64')
			);
	}
} finally {
	await d.quit();
}
