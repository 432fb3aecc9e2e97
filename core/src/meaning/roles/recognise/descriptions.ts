import { Case, type RolePage } from '../page.js'
import { inkOf } from '../paint.js'
import { flowOf, saidBy, walkViews, type View } from '../view.js'

const LEAST_PAIRS = 3
const LONGEST_TERM = 40
const COLON = /[:：]\s*$/u

type Pair = { readonly term: View; readonly said: View }

const isText = (view: View | undefined): view is View => view?.node.layer.type === 'text'

/** Two texts of a row. */
const asPair = (view: View): Pair | undefined => {
  const [term, said, ...others] = flowOf(view)
  const isPair = isText(term) && isText(said) && others.length === 0
  return isPair && saidBy(term).length <= LONGEST_TERM ? { term, said } : undefined
}

type Pairs = { readonly pairs: readonly Pair[]; readonly items: readonly View[] }

/** The longest run of neighbours that are pairs. */
const findRun = (page: RolePage, view: View): Pairs => {
  let best: { pairs: Pair[]; items: View[] } = { pairs: [], items: [] }
  let run: typeof best = { pairs: [], items: [] }
  for (const child of flowOf(view)) {
    const pair = page.roleOf(child) === undefined ? asPair(child) : undefined
    run = pair
      ? { pairs: [...run.pairs, pair], items: [...run.items, child] }
      : { pairs: [], items: [] }
    if (run.items.length > best.items.length) best = run
  }
  return best
}

/** Pairs as rows under one another, or as the cells of a grid of two columns. */
const pairsIn = (page: RolePage, view: View): Pairs => {
  const { arrangement } = view.node
  if (arrangement.kind === 'column') return findRun(page, view)
  const flow = flowOf(view)
  if (arrangement.kind !== 'grid' || arrangement.columns !== 2 || !flow.every(isText)) {
    return { pairs: [], items: [] }
  }
  const pairs = flow.flatMap((term, i) =>
    i % 2 === 0 && flow[i + 1] ? [{ term, said: flow[i + 1]! }] : [],
  )
  return { pairs, items: flow }
}

const styleOf = (view: View): string => {
  const { layer } = view.node
  if (layer.type !== 'text') return ''
  const { size, weight } = layer.style
  return [size, weight, inkOf(view).color].join()
}

/** A description list as a whole container, or as neighbours among other things. */
const readDescriptions = (page: RolePage, view: View): boolean => {
  const isSaid = page.is(view, 'descriptionlist')
  const { pairs, items } = pairsIn(page, view)
  if (pairs.length < (isSaid ? 1 : LEAST_PAIRS)) return false
  const all = pairs.flatMap(({ term, said }) => [term, said])
  if (!isSaid && all.some((text) => page.roleOf(text) !== undefined)) return false
  const terms = new Set(pairs.map(({ term }) => styleOf(term)))
  const said = new Set(pairs.map((pair) => styleOf(pair.said)))
  const differ = terms.size === 1 && said.size === 1 && [...terms][0] !== [...said][0]
  const own = new Case()
    .for(0.45, 'pairs of words stand under one another', true)
    .for(0.3, 'what is named and what is said of it are set differently', differ)
    .for(
      0.3,
      'the first of each ends with a colon',
      pairs.every(({ term }) => COLON.test(saidBy(term))),
    )
  if (!isSaid && own.confidence < 0.7) return false
  const { confidence, evidence } = own
  const found = { role: 'descriptionlist', confidence, evidence } as const
  if (items.length < flowOf(view).length || view === page.root) page.setRun(items, found)
  else if (!isSaid && !page.set(view, found)) return false
  for (const { term, said: definition } of pairs) {
    const why = ['it is one of a list of pairs']
    page.set(term, { role: 'term', confidence, evidence: why })
    page.set(definition, { role: 'definition', confidence, evidence: why })
  }
  return true
}

/** Description lists: what things are, in pairs of words. */
export const readDescriptionLists = (page: RolePage): void => {
  walkViews(page.root, (view) => {
    if (page.is(view, 'table', 'navigation', 'link', 'form')) return false
    return !readDescriptions(page, view)
  })
}
