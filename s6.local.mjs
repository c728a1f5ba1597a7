import { chromium } from '@playwright/test'
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell', args: ['--no-sandbox'] })
const page = await browser.newPage()
page.on('response', async (r) => { if (r.url().endsWith('.js')) { const b = await r.body(); console.log(r.url().split('/').pop(), b.length, r.headers()['content-length'], r.headers()['content-encoding']) } })
await page.goto('http://127.0.0.1:3000'); await page.waitForTimeout(2500); await browser.close()
