import { design, frame } from '../testing/design.js'
import { findArtboards } from './find-artboards.js'

const screens = (...list: [name: string, width: number][]) =>
  design(
    list.map(([name, width], i) =>
      frame(`s${i}`, [], { name, box: { x: 0, y: 0, width, height: 9 } }),
    ),
  ).screens

const names = (...list: [string, number][]): string[][] =>
  findArtboards(screens(...list)).map((g) => g.map((s) => s.name))

test('the same name at other widths is one screen', () => {
  expect(names(['Home 1280', 1280], ['Home 390', 390], ['Rota', 1280])).toEqual([
    ['Home 1280', 'Home 390'],
  ])
  expect(names(['Home / Desktop', 1280], ['home-phone', 390])).toEqual([
    ['Home / Desktop', 'home-phone'],
  ])
})

test('other names, or the same width, are other screens', () => {
  expect(names(['Home', 1280], ['Rota', 390])).toEqual([])
  expect(names(['Home 1', 1280], ['Home 2', 1280])).toEqual([])
})
