import { mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { chromium } from '@playwright/test'
import { CHROMIUM, CHROMIUM_ARGS } from '../e2e/chromium'

/** Writes the application's icons as pictures, for screens that take no drawing: `npm run icons`. */
const drawing = readFileSync('public/sparrow.svg', 'utf8')
const FOLDER = 'public/icons'
/** A mask may cut off a fifth on every side (W3C, Web Application Manifest): what is drawn stays within it. */
const ICONS = [
  { name: '192', side: 192, share: 0.86 },
  { name: '512', side: 512, share: 0.86 },
  { name: 'maskable-512', side: 512, share: 0.6 },
  { name: 'touch-180', side: 180, share: 0.74 },
] as const

mkdirSync(FOLDER, { recursive: true })
const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
const page = await browser.newPage()
for (const { name, side, share } of ICONS) {
  await page.setViewportSize({ width: side, height: side })
  await page.setContent(
    `<body style="margin:0;background:#F4EFE6;display:grid;place-items:center;height:${side}px">` +
      `<div style="width:${side * share}px;height:${side * share}px">${drawing}</div></body>`,
  )
  writeFileSync(`${FOLDER}/${name}.png`, await page.screenshot())
}
await browser.close()
