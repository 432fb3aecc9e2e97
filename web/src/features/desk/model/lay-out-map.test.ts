import { layOutMap } from './lay-out-map'
import type { FlowRow } from '../../../engine/protocol'

const row = (key: string, ...to: [string, 'leads' | 'opens'][]): FlowRow => ({
  key,
  name: key,
  isPanel: false,
  to: to.map(([target, kind]) => ({ key: target, kind, layers: ['layer'] })),
})

test('pages stand in columns by how many presses they are from the first', () => {
  const { cards, lines } = layOutMap([
    row('home', ['log', 'leads'], ['help', 'opens']),
    row('log', ['thanks', 'leads'], ['home', 'leads']),
    row('thanks'),
    row('help'),
    row('alone'),
  ])
  expect(cards.map(({ key, column, row: at }) => [key, column, at])).toEqual([
    ['home', 0, 0],
    ['log', 1, 0],
    ['thanks', 2, 0],
    ['help', 1, 1],
    ['alone', 3, 0],
  ])
  expect(lines.map(({ from, to, kind }) => `${from.key} ${kind} ${to.key}`)).toEqual([
    'home leads log',
    'home opens help',
    'log leads thanks',
    'log leads home',
  ])
})

test('a line to a page that is not converted is left out', () => {
  expect(layOutMap([row('home', ['gone', 'leads'])]).lines).toEqual([])
})
