import { createRequire } from 'node:module'
const require = createRequire('/work/main/package.json')
const { chromium } = require('@playwright/test')
const args = process.argv.slice(2)
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] })
const w = Number(process.env.W ?? 1280), h = Number(process.env.H ?? 800)
const page = await b.newPage({ viewport: { width: w, height: h }, colorScheme: process.env.DARK ? 'dark' : 'light' })
page.on('pageerror', e => console.log('ERR', e.message))
page.on('console', e => e.type() === 'error' && console.log('CON', e.text()))
page.on('response', r => { if (r.status() >= 500) console.log('500', r.url()) })
await page.goto('http://127.0.0.1:8080/')
await page.getByRole('button', { name: /Maren, owner/ }).click()
await page.waitForTimeout(1200)
for (const a of args) {
  const [u, n] = a.split('=>')
  await page.goto('http://127.0.0.1:8080' + u); await page.waitForTimeout(1800)
  if (process.env.FULL) { const s = await page.evaluate(() => document.querySelector('.middle')?.scrollHeight ?? 800); await page.setViewportSize({ width: w, height: Math.min(3000, s + 160) }); await page.waitForTimeout(300) }
  await page.screenshot({ path: `/tmp/shots/${n}.png` })
  if (process.env.FULL) await page.setViewportSize({ width: w, height: h })
  const wide = await page.evaluate(() => document.documentElement.scrollWidth > innerWidth + 1 || [...document.querySelectorAll('.middle')].some(e => e.scrollWidth > e.clientWidth + 1))
  console.log(n, wide ? 'WIDER THAN SCREEN' : 'ok')
}
await b.close()
