import { createRequire } from 'node:module'
const require = createRequire('/work/main/package.json')
const { chromium } = require('@playwright/test')
import { readFileSync } from 'node:fs'
const [out, cols, ...names] = process.argv.slice(2)
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] })
const page = await b.newPage({ viewport: { width: 1900, height: 1200 } })
await page.setContent(`<body style="margin:0;display:grid;grid-template-columns:repeat(${cols},1fr);gap:6px;background:#888;align-items:start">` + names.map(n => `<img style="width:100%" src="data:image/png;base64,${readFileSync(`/tmp/shots/${n}.png`).toString('base64')}">`).join('') + '</body>')
await page.waitForTimeout(400)
await page.screenshot({ path: `/tmp/shots/${out}.png`, fullPage: true })
await b.close()
