import { useState } from 'react'
import { USUAL_BREAKPOINTS } from '@unimorph/core'
import type { WidthAnswer } from '../../../engine/widths'
import { Button } from '../../../shared/ui/Button'
import { Choice } from '../../../shared/ui/Choice'
import { useDesk } from '../model/desk-store'
import { useStage } from '../model/stage-store'
import { Section } from './Section'

/** `640, 1000` → widths in px; undefined when it says anything else. */
export const readWidths = (text: string): number[] | undefined => {
  const list = text
    .split(/[\s,;]+/)
    .filter((part) => part !== '')
    .map((part) => Number(part.replace(/px$/i, '')))
  const isSound = list.every((px) => Number.isInteger(px) && px >= 200 && px <= 4000)
  return isSound && list.length <= 12 ? list : undefined
}

const Breakpoints = ({ report }: { readonly report: WidthAnswer }) => {
  const edit = useDesk((s) => s.edit)
  const [text, setText] = useState<string>()
  const value = text ?? (report.chosen ?? USUAL_BREAKPOINTS).join(', ')
  const widths = readWidths(value)
  const save = (): void => {
    if (text === undefined || !widths) return
    setText(undefined)
    void edit({ kind: 'set-breakpoints', px: widths })
  }
  return (
    <div className="mt-2 px-3 text-xs">
      <label className="flex items-center gap-2">
        <span className="w-20 shrink-0 text-soft">May change at</span>
        <input
          value={value}
          aria-invalid={widths === undefined}
          onChange={(event) => setText(event.target.value)}
          onBlur={save}
          onKeyDown={(event) => {
            if (event.key === 'Enter') save()
            if (event.key === 'Escape') setText(undefined)
          }}
          className="h-6 min-w-0 flex-1 rounded-sm border border-rule bg-sheet px-1.5 tabular-nums aria-invalid:border-problem"
        />
        <span>px</span>
      </label>
      {widths === undefined && (
        <p role="alert" className="mt-1 text-problem">
          Write up to twelve whole widths from 200 to 4000, with commas between them.
        </p>
      )}
      {report.chosen && (
        <Button
          tone="bare"
          className="mt-1 h-6! text-xs"
          onClick={() => void edit({ kind: 'set-breakpoints', px: null })}
        >
          Reset widths
        </Button>
      )}
    </div>
  )
}

/** The widths this screen was drawn at, and which screens belong together. */
export const ArtboardsCard = ({ report }: { readonly report: WidthAnswer }) => {
  const screens = useDesk((s) => s.drawn?.screens) ?? []
  const shown = useDesk((s) => s.screen)
  const showScreen = useDesk((s) => s.showScreen)
  const edit = useDesk((s) => s.edit)
  const set = useStage((s) => s.set)
  const own = report.artboards.map((artboard) => artboard.key)
  const widths = new Set(report.artboards.map((artboard) => artboard.widthPx))
  const others = screens.filter((s) => !own.includes(s.key) && !widths.has(Math.round(s.width)))
  const group = (keys: readonly string[]): void => {
    const rest = report.groups
      .map((known) => known.filter((key) => !own.includes(key) && !keys.includes(key)))
      .filter((known) => known.length > 1)
    const groups = keys.length > 1 ? [...rest, [...keys]] : rest
    void edit({ kind: 'set-artboards', groups: groups.map((list) => [...list]) })
  }
  return (
    <Section
      title="Drawn at"
      count={report.artboards.length}
      hint="Screens that are one screen at several widths become one page"
    >
      <ul>
        {report.artboards.map(({ key, name, widthPx }) => (
          <li key={key} className="flex items-center gap-2 px-3 text-xs">
            <button
              type="button"
              aria-current={key === shown}
              onClick={() => {
                showScreen(key)
                set({ width: undefined })
              }}
              className="flex min-w-0 flex-1 items-baseline gap-2 rounded-sm px-1 py-0.5 text-left hover:bg-tint aria-current:font-semibold"
            >
              <span className="w-10 text-right tabular-nums">{widthPx}</span>
              <span className="truncate">{name}</span>
            </button>
            {report.artboards.length > 1 && (
              <Button
                tone="bare"
                className="h-6! px-1.5! text-xs"
                title="Make it a separate screen"
                onClick={() => group(own.filter((k) => k !== key))}
              >
                Separate
              </Button>
            )}
          </li>
        ))}
      </ul>
      {others.length > 0 && (
        <div className="mt-1 px-3 text-xs">
          <Choice
            label="Add"
            value=""
            options={[
              { value: '', label: 'another width …' },
              ...others.map((s) => ({
                value: s.key,
                label: s.name,
                hint: `${Math.round(s.width)}`,
              })),
            ]}
            onChange={(key) => key !== '' && group([...own, key])}
          />
        </div>
      )}
      <Breakpoints report={report} />
    </Section>
  )
}
