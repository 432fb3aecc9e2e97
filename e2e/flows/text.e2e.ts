import { expect } from '@playwright/test'
import { test } from './server.js'
import { createTableMeasure } from '@unimorph/core'

// The fonts that the test run installs; the table of `core` must agree with what the browser does with them.
const STYLES = [
  { family: 'Inter', weight: 400, size: 16 },
  { family: 'Inter', weight: 700, size: 32 },
  { family: 'Liberation Sans', weight: 400, size: 14 },
  { family: 'Liberation Serif', weight: 700, size: 20 },
  { family: 'Liberation Mono', weight: 400, size: 13 },
]
const TEXTS = [
  'Low water is at 14:32.',
  'Walk the strandline from Gannet Spit southwards, write down what the sea left',
  'Übergröße, façade, naïve – “quoted” 84 kg',
]
// The table knows no kerning.
const MOST_DEVIATION = 0.015

test(
  'texts are as wide, and lines as high, as in the browser',
  { tag: '@quick' },
  async ({ page }) => {
    const measure = createTableMeasure()
    await page.goto('/preview')
    for (const style of STYLES) {
      for (const text of TEXTS) {
        const { width, baseline } = await page.evaluate(
          ({ text, style }) => {
            const line = document.createElement('div')
            line.style.cssText = `position:absolute;white-space:nowrap;line-height:40px;font:${style.weight} ${style.size}px/40px '${style.family}'`
            const mark = document.createElement('span')
            mark.style.cssText = 'display:inline-block;width:0;height:0'
            line.append(text, mark)
            document.body.append(line)
            const box = line.getBoundingClientRect()
            const baseline = mark.getBoundingClientRect().bottom - box.top
            line.remove()
            return { width: box.width, baseline }
          },
          { text, style },
        )
        const measured = measure.width(text, { ...style, letterSpacing: 0, case: 'as-typed' })
        expect(
          Math.abs(measured - width) / width,
          `${style.family} ${style.weight}: ${text}`,
        ).toBeLessThan(MOST_DEVIATION)
        const { ascentPx, descentPx } = measure.line(style)
        expect(Math.floor((40 - ascentPx - descentPx) / 2) + ascentPx).toBe(baseline)
      }
    }
  },
)
