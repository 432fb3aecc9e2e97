import { SaxesParser } from 'saxes'
import { drawLayer, readFiles, resolveInstances, walkScreens } from '@unimorph/core'
import { generateSvg } from './generate-svg.js'

/**
 * Opens one large SVG in a process of its own and prints the figures as JSON. Arguments: `parse` (plain XML
 * parse) or `open` (all the way to a drawing), number of layers, size in bytes.
 */
const [kind, layerCount, byteCount] = process.argv.slice(2)
const text = generateSvg(Number(layerCount), Number(byteCount))
const bytes = new TextEncoder().encode(text)

/** Builds the tree of elements and nothing else. */
const parse = (): number => {
  const parser = new SaxesParser()
  const open: unknown[][] = [[]]
  let count = 0
  parser.on('opentag', (tag) => {
    const children: unknown[] = []
    open.at(-1)!.push({ name: tag.name, attributes: tag.attributes, children })
    open.push(children)
    count++
  })
  parser.on('closetag', () => void open.pop())
  parser.on('text', (content) => void open.at(-1)!.push(content))
  parser.write(new TextDecoder().decode(bytes)).close()
  return count
}
const openDesign = (): number => {
  const { design } = readFiles([{ name: 'large.svg', bytes }])
  let layers = 0
  walkScreens(design!, () => layers++)
  for (const screen of resolveInstances(design!)) drawLayer(screen, { assets: {} })
  return layers
}

// Once, as a person opens a file: with a cold start and whatever memory one opening takes.
const before = process.memoryUsage().rss
const start = performance.now()
const count = kind === 'parse' ? parse() : openDesign()
const elapsedMs = performance.now() - start
const peakBytes = process.resourceUsage().maxRSS * 1024 - before
console.log(JSON.stringify({ count, elapsedMs, bytes: bytes.length, peakBytes }))
