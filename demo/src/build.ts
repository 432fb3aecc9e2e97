/** Builders for layers without places: `lay-out.ts` fills the boxes in. */

export type Draft = Record<string, unknown> & { key: string; type: string; children?: Draft[] }

type Extra = Record<string, unknown>

const unplaced = { x: 0, y: 0, width: 0, height: 0 }

const nameOf = (key: string): string => {
  const last = key.split('-').join(' ')
  return last.charAt(0).toUpperCase() + last.slice(1)
}

/** Values of the tokens, so that a layer's literal value and its token agree. */
export const COLORS = {
  sand: { light: '#f6f1e7', dark: '#14201f' },
  paper: { light: '#fffdf8', dark: '#1c2b2a' },
  ink: { light: '#1f3038', dark: '#eef3ee' },
  quiet: { light: '#55656b', dark: '#a9b8b4' },
  kelp: { light: '#2c664b', dark: '#7cc4a0' },
  deep: { light: '#1d4a36', dark: '#a4dcbf' },
  foam: { light: '#e0eee7', dark: '#24423a' },
  rust: { light: '#9c3f28', dark: '#e79a83' },
  shell: { light: '#f7e3da', dark: '#4a2a21' },
  line: { light: '#d9d2c3', dark: '#37494a' },
} as const
export type ColorName = keyof typeof COLORS

export const SPACES = { xs: 4, s: 8, m: 16, l: 24, xl: 40 } as const
export type SpaceName = keyof typeof SPACES

export const RADII = { control: 8, card: 12, pill: 999 } as const

export const TYPES = {
  title: { size: 32, lineHeight: 40, weight: 700 },
  section: { size: 20, lineHeight: 28, weight: 600 },
  figure: { size: 40, lineHeight: 48, weight: 700 },
  body: { size: 16, lineHeight: 24, weight: 400 },
  strong: { size: 16, lineHeight: 24, weight: 600 },
  label: { size: 14, lineHeight: 20, weight: 600 },
  small: { size: 14, lineHeight: 20, weight: 400 },
} as const
export type TypeName = keyof typeof TYPES

export const solid = (color: ColorName): Extra => ({ kind: 'solid', color: COLORS[color].light })

export const fill = (color: ColorName): Extra => ({
  fills: [solid(color)],
  tokens: { 'fills.0.color': `color.${color}` },
})

export const border = (color: ColorName, width: number | Extra = 1): Extra => ({
  strokes: [{ paint: solid(color), width, align: 'inside' }],
  tokens: { 'strokes.0.paint.color': `color.${color}` },
})

export const round = (name: keyof typeof RADII): Extra => ({
  radius: RADII[name],
  tokens: { radius: `radius.${name}` },
})

/** Joins parts of a layer; their token lists are joined too. */
const merge = (parts: readonly Extra[]): Extra => {
  const tokens = Object.assign({}, ...parts.map((p) => p['tokens'])) as Extra
  const all = Object.assign({}, ...parts) as Extra
  return Object.keys(tokens).length > 0 ? { ...all, tokens } : all
}

type Size = 'fixed' | 'fit' | 'stretch'

export const size = (width: Size | number, height: Size | number = 'fit'): Extra => {
  const sizing = (v: Size | number): Size => (typeof v === 'number' ? 'fixed' : v)
  return {
    sizing: { width: sizing(width), height: sizing(height) },
    want: {
      ...(typeof width === 'number' ? { width } : {}),
      ...(typeof height === 'number' ? { height } : {}),
    },
  }
}

const stack =
  (kind: 'row' | 'column') =>
  (
    key: string,
    layout: {
      gap?: SpaceName
      padding?: SpaceName | Extra
      align?: string
      distribute?: string
      wrap?: boolean
    },
    extras: readonly Extra[],
    children: Draft[],
  ): Draft => {
    const { gap, padding, ...rest } = layout
    const tokens: Extra = {
      ...(gap ? { 'layout.gap': `space.${gap}` } : {}),
      ...(typeof padding === 'string' ? { 'layout.padding': `space.${padding}` } : {}),
    }
    return {
      type: 'frame',
      key,
      name: nameOf(key),
      box: unplaced,
      ...merge([size('fit', 'fit'), { tokens }, ...extras]),
      layout: {
        kind,
        ...(gap ? { gap: SPACES[gap] } : {}),
        ...(padding ? { padding: typeof padding === 'string' ? SPACES[padding] : padding } : {}),
        ...rest,
      },
      children,
    }
  }

export const row = stack('row')
export const column = stack('column')

export const text = (
  key: string,
  content: string,
  type: TypeName,
  color: ColorName,
  ...extras: Extra[]
): Draft => ({
  type: 'text',
  key,
  name: content.slice(0, 40),
  box: unplaced,
  ...merge([
    size('fit', 'fit'),
    { tokens: { style: `type.${type}`, 'style.color': `color.${color}` } },
    ...extras,
  ]),
  style: { family: 'Inter', ...TYPES[type], color: COLORS[color].light },
  runs: [{ text: content }],
})

export const instance = (
  key: string,
  component: string,
  variant: Extra,
  props: Extra,
  ...extras: Extra[]
): Draft => ({
  type: 'instance',
  key,
  name: nameOf(key),
  box: unplaced,
  ...merge([size('fit', 'fit'), ...extras]),
  component,
  variant,
  props,
})

export const layer = (type: string, key: string, ...extras: Extra[]): Draft => ({
  type,
  key,
  name: nameOf(key),
  box: unplaced,
  ...merge(extras),
})
