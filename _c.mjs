import { createRequire } from 'node:module'
const require = createRequire('/work/main/package.json')
const { chromium } = require('@playwright/test')
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] })
const page = await b.newPage({ viewport: { width: 390, height: 844 } })
page.on('pageerror', e => console.log('ERR', e.message))
page.on('console', e => e.type() === 'error' && console.log('CON', e.text()))
await page.goto('http://127.0.0.1:8080/')
await page.getByRole('button', { name: /Maren, owner/ }).click()
await page.waitForTimeout(1000)
await page.goto('http://127.0.0.1:8080/arrivals/service'); await page.waitForTimeout(1200)
await page.screenshot({ path: '/tmp/shots/s1.png' })
const section = page.getByRole('region', { name: 'Matting', exact: true })
await section.getByRole('button', { name: 'Do it' }).first().click(); await page.waitForTimeout(400)
await section.scrollIntoViewIfNeeded()
await page.screenshot({ path: '/tmp/shots/s2.png' })
await section.getByRole('button', { name: 'Begin' }).click(); await page.waitForTimeout(1500)
await page.screenshot({ path: '/tmp/shots/s3.png' })
for (let i = 0; i < 20; i++) {
  const look = page.getByRole('button', { name: 'I see it flow at every one' })
  if (await look.isVisible()) { await page.screenshot({ path: '/tmp/shots/s4.png' }); await look.click(); await page.waitForTimeout(900); continue }
  const next = page.getByRole('button', { name: /Done, next|I did it/ })
  if (!(await next.isVisible())) break
  await next.click(); await page.waitForTimeout(900)
}
await page.screenshot({ path: '/tmp/shots/s5.png' })
await page.getByRole('button', { name: 'Close it' }).click(); await page.waitForTimeout(1500)
await page.screenshot({ path: '/tmp/shots/s6.png' })
await b.close()
