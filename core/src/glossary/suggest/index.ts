import type { Design } from '../../design/design.js'
import type { CodeComponent, Codebase, Framework } from '../../codebase/codebase.js'
import type { UiProject } from '../../ui/index.js'
import type { Entry, Glossary } from '../glossary.js'
import { subjectOf } from '../glossary.js'
import { assignMost } from '../../math/assign.js'
import { listRoles, listThings, type DesignThing } from './design-side.js'
import { matchProps, type PropMatch } from './match-props.js'
import { matchTokens } from './match-tokens.js'
import { compareNames } from './words.js'

/** An entry that is proposed, with how sure it is and why. */
export type Suggestion = {
  readonly entry: Entry
  /** From 0 to 1. */
  readonly confidence: number
  /** In short sentences. */
  readonly evidence: readonly string[]
  /** The next best components, by their ids. */
  readonly others: readonly string[]
}

export type Suggested = {
  readonly components: readonly Suggestion[]
  /** Tokens of the design, and what the theme of the codebase calls them. */
  readonly tokens: Readonly<Record<string, string>>
}

/** Below this a component is not proposed. */
const LEAST = 0.35
const OTHERS = 3
/** A component that asks for so much of what a control is asked for is one. */
const LEAST_FACTS = 2

/** What is proposed for everything of a role is so wide that a person has to look at it. */
const MOST_FOR_ROLES = 0.8
/** A component is for a role when it is called so, or when it is what a thing with that role is written as. */
const LEAST_ROLE_NAME = 0.5
const LEAST_OTHER_NAME = 0.35

/** What roles are called where components are named. */
const ROLE_WORDS: Readonly<Record<string, string>> = {
  button: 'button',
  checkbox: 'checkbox',
  combobox: 'select',
  heading: 'heading',
  img: 'image',
  link: 'link',
  listitem: 'item',
  navigation: 'navigation',
  radio: 'radio',
  slider: 'slider',
  switch: 'switch',
  textbox: 'input',
}

type Match = {
  readonly score: number
  /** A name or all that must be given speaks for it, and not only that types happen to fit. */
  readonly isFounded: boolean
  readonly props: readonly PropMatch[]
  readonly evidence: readonly string[]
}

const MOST_PAIRS = 4

/** How well a component does for a thing of the design. */
const compare = (thing: DesignThing, component: CodeComponent): Match => {
  const props = matchProps(thing, component)
  const named = compareNames(thing.name, component.name)
  const role = thing.controlRole ?? thing.role
  const word = role === undefined ? undefined : ROLE_WORDS[role]
  const asRole = word === undefined ? 0 : compareNames(word, component.name)
  const ofDesign = props.filter(({ property }) => property !== undefined)
  const covered = new Set(ofDesign.map(({ property }) => property!.name))
  const wanted = component.props.filter(
    ({ as, isInherited, name }) => as === 'prop' && !isInherited && name !== component.placedBy,
  )
  const required = component.props.filter(
    ({ isRequired, isInherited }) => isRequired && !isInherited,
  )
  const given = new Set(props.map(({ prop }) => prop.name))
  const met = required.filter(({ name }) => given.has(name)).length
  const byDesign =
    thing.properties.length === 0
      ? 0
      : ofDesign.reduce((sum, { score }) => sum + score, 0) / thing.properties.length
  const byCode =
    wanted.length === 0 ? 0 : wanted.filter(({ name }) => given.has(name)).length / wanted.length
  const byRequired = required.length === 0 ? 1 : met / required.length
  const fits = (0.6 * byDesign + 0.4 * byCode) * (0.4 + 0.6 * byRequired)
  const name = Math.max(named, 0.8 * asRole)
  const known = component.uses > 0 ? 0.03 : 0
  const facts = props.filter(({ source }) => 'field' in source).length
  const isForControl =
    thing.controlRole === undefined ||
    name >= 0.5 ||
    (thing.controlRole === 'textbox' && facts >= LEAST_FACTS)
  const score = Math.min(
    1,
    (0.55 * name + 0.45 * fits + known) *
      (component.isDeprecated ? 0.5 : 1) *
      (isForControl ? 1 : 0.5) +
      // Everything it wants is there, and everything that is there is wanted.
      (isForControl && byRequired === 1 && byCode > 0.8 && covered.size === thing.properties.length
        ? 0.12
        : 0),
  )
  const pairs = ofDesign
    .slice(0, MOST_PAIRS)
    .map(({ property, prop }) => `${property!.name} is ${prop.name}`)
  const evidence = [
    ...(named >= 0.5 ? [`${thing.name} and ${component.name} mean the same`] : []),
    ...(asRole >= 0.5 && named < 0.5 ? [`It is a ${role!}, as ${component.name} is`] : []),
    ...(pairs.length > 0
      ? [`${pairs.join(', ')}${ofDesign.length > MOST_PAIRS ? ', …' : ''}`]
      : []),
    ...(required.length > 0 && byRequired === 1 ? ['All it must be given is there'] : []),
    ...(byRequired < 1
      ? [
          `${required
            .filter(({ name: own }) => !given.has(own))
            .map(({ name: own }) => own)
            .join(', ')} must be given, and is not drawn`,
        ]
      : []),
    ...(component.uses > 0
      ? [`The codebase uses it ${component.uses === 1 ? 'once' : `${component.uses} times`}`]
      : []),
    ...(component.isDeprecated ? ['It should no longer be used'] : []),
  ]
  const isWhole = covered.size === thing.properties.length && byDesign >= 0.5
  const isFounded = name >= 0.5 || (byRequired === 1 && (required.length > 1 || isWhole))
  return { score, isFounded, props, evidence }
}

/** How sure a match is: by how good it is, and by how much better than the next. */
const confidenceOf = (score: number, next: number): number =>
  Math.round(Math.min(1, score * (score > 0 ? 0.75 + 0.5 * (1 - next / score) : 0)) * 100) / 100

const carriesLinks = ({ props }: Match): boolean => props.some(({ source }) => 'link' in source)

/** The best component for those of some things that lead somewhere, where that for the others cannot. */
const findLink = (
  thing: DesignThing,
  components: readonly CodeComponent[],
  taken: ReadonlySet<number>,
): { readonly component: CodeComponent; readonly match: Match } | undefined => {
  const leading: DesignThing = { ...thing, role: 'link' }
  const [best] = components
    .map((component, at) => ({ component, at, match: compare(leading, component) }))
    .filter(({ at, match }) => !taken.has(at) && carriesLinks(match) && match.score >= LEAST)
    .sort((a, b) => b.match.score - a.match.score)
  return best
}

const withLeads = ({ design, ...rest }: Entry, leads: boolean): Entry => ({
  design,
  leads,
  ...rest,
})

const toSuggestion = (
  thing: DesignThing,
  component: CodeComponent,
  { score, props, evidence }: Match,
  next: number,
): Omit<Suggestion, 'others'> => ({
  entry: {
    design: thing.design,
    code: component.id,
    props: Object.fromEntries(props.map(({ prop, source }) => [prop.name, source])),
    status: 'proposed',
  },
  confidence: confidenceOf(score, next),
  evidence,
})

/** The components that confirmed or proposed entries give to things that are what a role says. */
const codesOfRole = (
  role: string,
  things: readonly DesignThing[],
  entries: readonly Entry[],
): ReadonlySet<string> => {
  const own = new Set(
    things
      .filter((thing) => (thing.controlRole ?? thing.role) === role)
      .map(({ design }) => subjectOf({ design })),
  )
  return new Set(entries.filter((one) => own.has(subjectOf(one))).map(({ code }) => code))
}

/** Whether what a component is called means another role more; a `PushLink` is no link in a text, however little it is a button. */
const meansOther = (word: string, { name }: CodeComponent): boolean => {
  const own = compareNames(word, name)
  if (word === ROLE_WORDS['link'] && compareNames('button', name) >= LEAST_OTHER_NAME) return true
  // What headings are called, texts of all kinds are.
  const isLoose = word === ROLE_WORDS['heading']
  return Object.values(ROLE_WORDS).some((other) => {
    const asOther = other === word ? 0 : compareNames(other, name)
    return asOther > own || (isLoose && asOther === own)
  })
}

/** Proposes a component for everything of a role that stands in no component. */
const suggestForRole = (
  role: string,
  thing: DesignThing,
  components: readonly CodeComponent[],
  asThings: ReadonlySet<string>,
): readonly Suggestion[] => {
  const word = ROLE_WORDS[role] ?? role
  const all = components
    .map((component) => ({
      component,
      isSame: asThings.has(component.id),
      match: compare({ ...thing, name: word }, component),
    }))
    .filter(
      ({ component, isSame, match }) =>
        !component.isDeprecated &&
        !meansOther(word, component) &&
        match.score >= LEAST &&
        // What leads somewhere must be told where.
        (!thing.leads || thing.isMixed || carriesLinks(match)) &&
        (isSame || compareNames(word, component.name) >= LEAST_ROLE_NAME),
    )
    .sort((a, b) => Number(b.isSame) - Number(a.isSame) || b.match.score - a.match.score)
  const [best, ...others] = all
  if (!best) return []
  const own = toSuggestion(thing, best.component, best.match, others[0]?.match.score ?? 0)
  return [
    {
      ...own,
      confidence: Math.min(MOST_FOR_ROLES, own.confidence),
      evidence: [
        ...(best.isSame ? [`${best.component.name} is what others of them are`] : []),
        ...own.evidence.filter((one) => !one.startsWith(`${word} and `)),
        ...(compareNames(word, best.component.name) >= LEAST_ROLE_NAME
          ? [`A ${word} is what ${best.component.name} says it is`]
          : []),
      ],
      others: others.slice(0, OTHERS).map(({ component }) => component.id),
    },
  ]
}

/**
 * Proposes components of a codebase for what the screens of a design show: to each thing the component with which all
 * things together do best. What the glossary has already is not proposed again. Nothing that is proposed is used before a
 * person confirms it.
 */
export const suggestGlossary = (
  project: UiProject,
  design: Design,
  codebase: Codebase,
  framework: Framework,
  known: Glossary,
): Suggested => {
  const said = new Set(known.components.map(subjectOf))
  const every = listThings(project, design)
  const things = every.filter((thing) => !said.has(subjectOf(thing)))
  const components = codebase.components.filter((one) => one.framework === framework)
  const matches = things.map((thing) => components.map((component) => compare(thing, component)))
  const pairs = assignMost(
    matches.map((row) =>
      row.map(({ score, isFounded }) => (isFounded && score >= LEAST ? score : 0)),
    ),
  )
  const taken = new Set(pairs.filter((at) => at !== undefined))
  const suggestions = things.flatMap((thing, i): Suggestion[] => {
    const at = pairs[i]
    const match = at === undefined ? undefined : matches[i]![at]!
    if (at === undefined || !match) return []
    const others = matches[i]!.map(({ score }, j) => ({ score, id: components[j]!.id }))
      .filter(({ score }, j) => j !== at && score >= LEAST)
      .sort((a, b) => b.score - a.score)
    const next = Math.max(
      others[0]?.score ?? 0,
      // Another thing might want it as much.
      ...matches.map((row, j) => (j === i ? 0 : 0.8 * row[at]!.score)),
    )
    const one = {
      ...toSuggestion(thing, components[at]!, match, Math.min(next, match.score)),
      others: others.slice(0, OTHERS).map(({ id }) => id),
    }
    const link =
      thing.isMixed && !carriesLinks(match) ? findLink(thing, components, taken) : undefined
    if (!link) return [one]
    taken.add(components.indexOf(link.component))
    const leading = toSuggestion(thing, link.component, link.match, 0)
    return [
      { ...leading, entry: withLeads(leading.entry, true), others: [] },
      { ...one, entry: withLeads(one.entry, false) },
    ]
  })
  const entries = [...known.components, ...suggestions.map(({ entry }) => entry)]
  const forRoles = listRoles(project)
    .filter((thing) => !said.has(subjectOf(thing)))
    .flatMap((thing) => {
      const role = 'role' in thing.design ? thing.design.role : ''
      return suggestForRole(role, thing, components, codesOfRole(role, every, entries))
    })
  return {
    components: [...suggestions, ...forRoles],
    tokens: matchTokens(design, codebase.tokens, known),
  }
}
