import { chromium } from 'playwright-core'
const W = +(process.env.W ?? 1280),
  H = +(process.env.H ?? 800)
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] })
const p = await b.newPage({ viewport: { width: W, height: H } })
await p.goto('http://127.0.0.1:8080/')
await p.getByRole('button', { name: /Maren, owner/ }).click()
await p.waitForTimeout(2500)
await p.goto('http://127.0.0.1:8080/arrivals/trouble')
await p.waitForTimeout(2500)
await p.setViewportSize({ width: 1280, height: 2000 })
await p.waitForTimeout(800)
await p.screenshot({ path: '/tmp/shots/t1.png', fullPage: true })
await b.close()
