import { chromium } from '@playwright/test'
import { pathToFileURL } from 'node:url'
const [name, ...rest] = process.argv.slice(2)
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell', args: ['--no-sandbox','--disable-gpu','--disable-quic','--no-first-run','--disable-background-networking','--disable-component-update','--disable-sync'] })
const small = rest.includes('small'), night = rest.includes('night')
const context = await browser.newContext({ viewport: small ? { width: 390, height: 844 } : { width: 1280, height: 800 }, colorScheme: night ? 'dark' : 'light', hasTouch: small, serviceWorkers: 'block' })
const page = await context.newPage()
page.on('pageerror', (e) => console.log('ERR', e.message))
await page.goto('http://127.0.0.1:3000')
if (!rest.includes('door')) {
await page.getByRole('button', { name: 'Step in as the demo rider' }).click()
await page.getByRole('link', { name: /Across the Quern, June/ }).click()
await page.getByText('stranded').filter({ visible: true }).first().waitFor()
}
const steps = await import(pathToFileURL(process.cwd() + '/' + name).href)
await steps.default(page, rest)
await page.waitForTimeout(500)
await page.screenshot({ path: `/tmp/shot-${rest.join('-')}.png` })
await browser.close()
