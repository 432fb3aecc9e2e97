import { expect, test } from '@playwright/test'
import fc from 'fast-check'
import { readDesign, type Box, type Design } from '@unimorph/core'
import { distance, documentOf, layOut, solve } from '../agreement/frames.js'
import { outline, tree, type Json } from '../agreement/trees.js'

// What the solver says of a page is what proofs and sweeps go by: the browser has to say the same.

const WIDTHS = [360, 640, 900, 1280, 1536]
const BATCH = 20
const MOST_APART_PX = 0.5
const SEED = Number(process.env['TEST_SEED'] ?? 20261201)
const COUNT = process.env['TEST_DEEP'] ? 5000 : 240

const read = (json: Json): Design => {
  const made = readDesign(json)
  if (!made.ok) throw new Error(JSON.stringify(made.notes))
  return made.value
}

type Apart = { readonly what: string; readonly json: Json }

const show = ({ x, y, width, height }: Box): string =>
  [x, y, width, height].map((value) => value.toFixed(1)).join(' ')

test(`${COUNT} screens with stated layout are laid out by Chromium as the solver says`, async ({
  page,
}) => {
  test.setTimeout(COUNT * 1000)
  const jsons = fc.sample(tree, { numRuns: COUNT, seed: SEED })
  const apart: Apart[] = []
  for (let from = 0; from < jsons.length; from += BATCH) {
    const batch = jsons.slice(from, from + BATCH)
    const designs = batch.map(read)
    const documents = await Promise.all(designs.map(documentOf))
    const found = await layOut(page, documents, WIDTHS)
    designs.forEach((design, i) => {
      const solved = solve(design, WIDTHS)
      for (const [at, width] of WIDTHS.entries()) {
        for (const [key, box] of Object.entries(found[i]![at]!)) {
          const own = solved[at]!.get(key)
          // A screen is at least as high as the window.
          if (!own || key === 'n' || distance(own, box) <= MOST_APART_PX) continue
          const what = `${key} at ${width}: browser ${show(box)}, solver ${show(own)}`
          apart.push({ what, json: batch[i]! })
          return
        }
      }
    })
  }
  const shortest = apart
    .map(({ what, json }) => `${what}\n${outline((json['screens'] as readonly Json[])[0]!)}`)
    .sort((a, b) => a.length - b.length)
    .slice(0, 9)
    .join('\n')
  expect(apart.length, `seed ${SEED}; the smallest of them:\n${shortest}`).toBe(0)
})
