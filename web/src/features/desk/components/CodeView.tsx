import { css } from '@codemirror/lang-css'
import { html } from '@codemirror/lang-html'
import { vue } from '@codemirror/lang-vue'
import { javascript } from '@codemirror/lang-javascript'
import { HighlightStyle, StreamLanguage, syntaxHighlighting } from '@codemirror/language'
import { dart } from '@codemirror/legacy-modes/mode/clike'
import { search, searchKeymap } from '@codemirror/search'
import {
  EditorState,
  RangeSetBuilder,
  StateEffect,
  StateField,
  type Extension,
} from '@codemirror/state'
import {
  Decoration,
  drawSelection,
  EditorView,
  highlightActiveLineGutter,
  keymap,
  lineNumbers,
  type DecorationSet,
} from '@codemirror/view'
import { tags } from '@lezer/highlight'
import { useEffect, useRef } from 'react'
import type { Span } from '@unimorph/core'

type Wrong = { readonly start: number; readonly end: number; readonly message: string }

type Props = {
  readonly path: string
  readonly text: string
  /** Where the selected layers' code is. */
  readonly spans: readonly Span[]
  /** Stretches that keep it from being built, and why. */
  readonly wrong?: readonly Wrong[]
  readonly onPlace: (offset: number) => void
}

const NONE: readonly never[] = []

const setSpans = StateEffect.define<readonly Span[]>()

const setWrong = StateEffect.define<readonly Wrong[]>()

const threadMark = Decoration.mark({ class: 'cm-thread' })

const threads = StateField.define<DecorationSet>({
  create: () => Decoration.none,
  update(marks, transaction) {
    for (const effect of transaction.effects) {
      if (!effect.is(setSpans)) continue
      const builder = new RangeSetBuilder<Decoration>()
      const length = transaction.state.doc.length
      for (const { start, end } of [...effect.value].sort((a, b) => a.start - b.start)) {
        if (start < end && end <= length) builder.add(start, end, threadMark)
      }
      return builder.finish()
    }
    return marks
  },
  provide: (field) => EditorView.decorations.from(field),
})

/** The lines on which something begins that is wrong say so. */
const problems = StateField.define<DecorationSet>({
  create: () => Decoration.none,
  update(marks, transaction) {
    for (const effect of transaction.effects) {
      if (!effect.is(setWrong)) continue
      const { doc } = transaction.state
      return Decoration.set(
        effect.value
          .filter(({ start }) => start <= doc.length)
          .map(({ start, message }) =>
            Decoration.line({ class: 'cm-problem', attributes: { title: message } }).range(
              doc.lineAt(start).from,
            ),
          ),
        true,
      )
    }
    return marks
  },
  provide: (field) => EditorView.decorations.from(field),
})

const colors = HighlightStyle.define([
  {
    tag: [tags.keyword, tags.tagName, tags.moduleKeyword, tags.definitionKeyword],
    color: 'var(--settled)',
    fontWeight: '600',
  },
  { tag: [tags.attributeName, tags.propertyName], color: 'var(--doubt)' },
  { tag: [tags.string, tags.attributeValue, tags.number, tags.color], color: 'var(--problem)' },
  {
    tag: [tags.comment, tags.meta, tags.angleBracket, tags.bracket, tags.punctuation],
    color: 'var(--soft)',
  },
])

const look = EditorView.theme({
  '&': { height: '100%', backgroundColor: 'var(--sheet)', color: 'var(--ink)', fontSize: '12px' },
  '.cm-scroller': { fontFamily: 'var(--font-mono)', lineHeight: '18px' },
  '.cm-gutters': { backgroundColor: 'var(--sheet)', color: 'var(--soft)', border: 'none' },
  '.cm-activeLineGutter': { backgroundColor: 'var(--tint)' },
  '.cm-thread': { backgroundColor: 'var(--tint)' },
  '.cm-problem': {
    boxShadow: 'inset 3px 0 var(--problem)',
    textDecoration: 'underline wavy var(--problem)',
  },
  '&.cm-focused': { outline: '2px solid var(--settled)', outlineOffset: '-2px' },
  '.cm-panels': { backgroundColor: 'var(--paper)', color: 'var(--ink)' },
  '.cm-textfield': { border: '1px solid var(--rule)', backgroundColor: 'var(--sheet)' },
  '.cm-button': {
    backgroundImage: 'none',
    border: '1px solid var(--rule)',
    backgroundColor: 'var(--sheet)',
  },
  '.cm-cursor': { borderLeftColor: 'var(--ink)' },
})

const languageOf = (path: string): Extension => {
  if (path.endsWith('.html')) return html()
  if (path.endsWith('.vue')) return vue()
  if (path.endsWith('.css')) return css()
  if (path.endsWith('.dart')) return StreamLanguage.define(dart)
  if (/\.(tsx?|json)$/.test(path) || path.startsWith('.prettierrc'))
    return javascript({ jsx: true, typescript: true })
  return []
}

/** A file, to read, search and copy from. */
export const CodeView = ({ path, text, spans, wrong = NONE, onPlace }: Props) => {
  const host = useRef<HTMLDivElement>(null)
  const view = useRef<EditorView>(undefined)
  const place = useRef(onPlace)
  place.current = onPlace

  useEffect(() => {
    const editor = new EditorView({ parent: host.current! })
    view.current = editor
    return () => editor.destroy()
  }, [])

  useEffect(() => {
    view.current!.setState(
      EditorState.create({
        doc: text,
        extensions: [
          lineNumbers(),
          drawSelection(),
          highlightActiveLineGutter(),
          EditorState.readOnly.of(true),
          // Read-only text still takes the focus, so that it can be scrolled and searched by keyboard.
          EditorView.contentAttributes.of({ 'aria-label': `Code of ${path}`, tabindex: '0' }),
          search({ top: true }),
          keymap.of(searchKeymap),
          syntaxHighlighting(colors),
          languageOf(path),
          threads,
          problems,
          look,
          EditorView.updateListener.of((update) => {
            const byPerson = update.transactions.some((t) => t.isUserEvent('select.pointer'))
            if (byPerson) place.current(update.state.selection.main.head)
          }),
        ],
      }),
    )
  }, [path, text])

  useEffect(() => {
    const first = spans[0]
    const editor = view.current!
    const isInside = first && first.end <= editor.state.doc.length
    editor.dispatch({
      effects: [
        setSpans.of(spans),
        ...(isInside
          ? [EditorView.scrollIntoView(first.start, { y: 'nearest', yMargin: 60 })]
          : []),
      ],
    })
  }, [spans, path, text])

  useEffect(() => {
    view.current!.dispatch({ effects: setWrong.of(wrong) })
  }, [wrong, path, text])

  return <div ref={host} data-testid="code" className="h-full min-h-0" />
}
