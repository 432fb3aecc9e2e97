import type { Box, Paint, Placed } from './box.js'
import { Evaluator, type Host } from './evaluate.js'
import { Layout } from './layout.js'
import { readProgram } from './program.js'
import type { Syntax } from './syntax.js'
import type { LetterStyle, Measure } from './text.js'
import { isMade, NotKnown, type Closure, type Made, type State, type Value } from './values.js'

export type App = {
  readonly files: readonly Syntax[]
  /** The screens, by their routes. */
  readonly routes: Readonly<Record<string, string>>
  /** The addresses of pictures, by their paths. */
  readonly pictures: Readonly<Record<string, string>>
  readonly family: string
}

const STYLE = `body { margin: 0; background: #fff; }
.f { position: absolute; box-sizing: border-box; text-align: left; font: inherit; color: inherit; }
button.f, a.f { padding: 0; border: 0; background: none; text-decoration: none; display: block; }
h1.f, h2.f, h3.f, h4.f, h5.f, h6.f { margin: 0; }
.t { position: absolute; white-space: pre; }
input.f::placeholder, textarea.f::placeholder { color: var(--hint, currentcolor); opacity: 1; }
input.f:checked { background-color: var(--on, transparent) !important; }
.shade { position: fixed; inset: 0; background: rgb(0 0 0 / 0.5); }
`

const createMeasure = (): { readonly measure: Measure; forget(): void } => {
  const context = document.createElement('canvas').getContext('2d')!
  const known = new Map<string, { width: number; ascent: number; descent: number }>()
  const measure: Measure = (text, css) => {
    const font = `${css['font-style'] ?? 'normal'} ${css['font-weight'] ?? '400'} ${css['font-size'] ?? '14px'} ${css['font-family'] ?? 'sans-serif'}`
    const key = `${font}|${css['letter-spacing'] ?? ''}|${text}`
    const found = known.get(key)
    if (found) return found
    context.font = font
    context.letterSpacing = css['letter-spacing'] ?? '0px'
    const { width, fontBoundingBoxAscent, fontBoundingBoxDescent } = context.measureText(text)
    const measured = { width, ascent: fontBoundingBoxAscent, descent: fontBoundingBoxDescent }
    known.set(key, measured)
    return measured
  }
  return { measure, forget: () => known.clear() }
}

const setCss = (element: HTMLElement, css: Readonly<Record<string, string>>): void => {
  for (const [name, value] of Object.entries(css)) element.style.setProperty(name, value)
}

const PHRASES = new Set(['button', 'a', 'h1', 'h2', 'h3', 'h4', 'h5', 'h6'])

/** Draws boxes as elements that stand where the layout says. */
const draw = ({ x, y, box }: Placed, app: App, isInPhrase = false): HTMLElement => {
  const { paint = {} as Paint } = box
  const tag = paint.tag ?? (isInPhrase ? 'span' : 'div')
  const element = document.createElement(tag)
  element.className = 'f'
  setCss(element, {
    left: `${String(x)}px`,
    top: `${String(y)}px`,
    width: `${String(box.width)}px`,
    height: `${String(box.height)}px`,
    ...paint.css,
  })
  if (tag === 'a') element.setAttribute('href', '#')
  if (tag === 'button') element.setAttribute('type', 'button')
  for (const [name, value] of Object.entries(paint.attributes ?? {})) {
    if (name !== 'data-options') element.setAttribute(name, value)
  }
  for (const option of paint.attributes?.['data-options']?.split('\n') ?? []) {
    const own = document.createElement('option')
    own.textContent = option
    element.append(own)
  }
  const [kind, key] = paint.key
    ? [paint.key.slice(0, paint.key.indexOf(':')), paint.key.slice(paint.key.indexOf(':') + 1)]
    : []
  if (kind === 'layer') element.dataset['layer'] = key
  if (kind === 'anchor') element.id = key!
  if (paint.onTap) {
    const { onTap } = paint
    element.addEventListener('click', (event) => {
      event.preventDefault()
      onTap()
    })
  }
  if (paint.picture) {
    const { path, fit, label } = paint.picture
    const image = document.createElement('img')
    image.src = app.pictures[path] ?? ''
    image.alt = label
    setCss(image, {
      width: '100%',
      height: '100%',
      'object-fit': fit === 'cover' || fit === 'fill' ? fit : 'contain',
    })
    element.append(image)
  }
  for (const line of paint.lines ?? []) {
    for (const piece of line.pieces) {
      const own = document.createElement('span')
      own.className = 't'
      own.textContent = piece.text
      setCss(own, {
        left: `${String(piece.x)}px`,
        top: `${String(line.y)}px`,
        'line-height': `${String(line.height)}px`,
        ...piece.style,
      })
      element.append(own)
    }
  }
  const isPhrase = isInPhrase || PHRASES.has(tag)
  for (const child of box.children) element.append(draw(child, app, isPhrase))
  return element
}

const showProblem = (root: HTMLElement, { message, where = '' }: NotKnown): void => {
  root.replaceChildren()
  const title = document.createElement('p')
  title.textContent = 'What stands in for Flutter here does not know this code:'
  const words = document.createElement('p')
  words.textContent = `${message} It stands in ${where.split('/').filter(Boolean).slice(-8).join(', in it ')}.`
  console.error(message, where)
  root.append(title, words)
}

/** Runs an app in a page: lays the screen of its address out, and again when something changes. */
export const run = (app: App, root: HTMLElement): void => {
  const style = document.createElement('style')
  style.textContent = STYLE
  document.head.append(style)
  const program = readProgram(app.files)
  const states = new Map<string, State>()
  const sizes = new Map<string, { width: number; height: number }>()
  let dialog: Closure | undefined
  const { measure, forget } = createMeasure()
  const base: LetterStyle = {
    size: 14,
    lineHeight: undefined,
    css: { 'font-size': '14px', 'font-family': `"${app.family}", sans-serif`, color: 'black' },
  }
  const routeNow = (): string => location.hash.slice(1) || '/'
  const host: Host = {
    program,
    get size() {
      return { width: innerWidth, height: innerHeight }
    },
    isDark: matchMedia('(prefers-color-scheme: dark)').matches,
    navigate(route) {
      location.hash = `#${route}`
    },
    back() {
      if (dialog) {
        dialog = undefined
        render()
      } else history.back()
    },
    showDialog(builder) {
      dialog = builder
      render()
    },
    callShared(name, positional) {
      if (name === 'openAddress') return null
      if (name === 'isCurrent') return routeNow() === positional[1]
      if (name !== 'scrollTo') return undefined
      document.getElementById(String(positional[0]))?.scrollIntoView()
      return null
    },
    makeShared(name) {
      return name === 'Answers' || name === 'Answers.maybeOf'
        ? { kind: 'made', name: 'Answers', named: {}, positional: [] }
        : undefined
    },
    callMethod: () => null,
  }
  const evaluator = new Evaluator(host)
  const layout = new Layout({
    evaluator,
    measure,
    base,
    addressOf: (path) => app.pictures[path] ?? '',
    pictureSize: (path) => sizes.get(path),
    stateAt(path, make) {
      const known = states.get(path)
      if (known) return known
      const state: State = { values: make(), change: () => render() }
      states.set(path, state)
      return state
    },
  })
  const screenOf = (): Made => ({
    kind: 'made',
    name: app.routes[routeNow()] ?? app.routes['*'] ?? app.routes['/']!,
    named: {},
    positional: [],
  })
  const layScreen = (widget: Made): Box =>
    layout.lay(
      widget,
      { minWidth: innerWidth, maxWidth: innerWidth, minHeight: innerHeight, maxHeight: Infinity },
      routeNow(),
    )
  const layDialog = (builder: Closure): Placed => {
    const widget = evaluator.call(builder, [null])
    if (!isMade(widget)) throw new NotKnown('A dialog is made of no widget.')
    const box = layout.lay(
      widget,
      {
        minWidth: 0,
        maxWidth: Math.max(0, innerWidth - 32),
        minHeight: 0,
        maxHeight: Math.max(0, innerHeight - 32),
      },
      'dialog',
    )
    return { x: (innerWidth - box.width) / 2, y: Math.max(16, (innerHeight - box.height) / 2), box }
  }
  const render = (): void => {
    try {
      const box = layScreen(screenOf())
      const page = draw({ x: 0, y: 0, box }, app)
      page.setAttribute('role', 'main')
      root.replaceChildren(page)
      root.style.height = `${String(box.height)}px`
      if (!dialog) return
      const shade = document.createElement('div')
      shade.className = 'shade'
      shade.addEventListener('click', () => host.back())
      const panel = draw(layDialog(dialog), app)
      panel.setAttribute('role', 'dialog')
      panel.style.position = 'fixed'
      panel.style.background = '#fff'
      root.append(shade, panel)
    } catch (error) {
      if (!(error instanceof NotKnown)) throw error
      showProblem(root, error)
    }
  }
  // A closure may change a state without a word; what is shown is made anew after each press.
  root.addEventListener('click', () => queueMicrotask(render))
  addEventListener('hashchange', () => {
    dialog = undefined
    scrollTo(0, 0)
    render()
  })
  addEventListener('resize', render)
  for (const [path, address] of Object.entries(app.pictures)) {
    const image = new Image()
    image.addEventListener('load', () => {
      sizes.set(path, { width: image.naturalWidth, height: image.naturalHeight })
      render()
    })
    image.src = address
  }
  // Texts are measured by their fonts, which load only when somebody asks for them.
  void Promise.allSettled([...document.fonts].map((font) => font.load())).then(() => {
    forget()
    render()
  })
  render()
}

export type { Value }
