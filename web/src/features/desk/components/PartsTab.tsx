import type { UiPart } from '@unimorph/core'
import { useMemo, useState } from 'react'
import type { LayerRow } from '../../../engine/protocol'
import { Button } from '../../../shared/ui/Button'
import { useDesk } from '../model/desk-store'
import { toCodeKeys, toShownKey, useWidths } from '../model/widths-store'
import { ChoiceRow } from './ChoiceRow'
import { PagesSettings } from './PagesSettings'
import { PartCard } from './PartCard'
import { Section } from './Section'

const NONE: readonly never[] = []

const PartRow = ({
  part,
  isChosen,
  onChoose,
}: {
  readonly part: UiPart
  readonly isChosen: boolean
  readonly onChoose: () => void
}) => (
  <ChoiceRow isChosen={isChosen} onChoose={onChoose}>
    <span className="min-w-0 flex-1 truncate">{part.name}</span>
    <span className="w-16 shrink-0 text-right text-soft tabular-nums">
      {part.instances.length} {part.instances.length === 1 ? 'place' : 'places'}
    </span>
    <span
      className={`w-10 shrink-0 text-right tabular-nums ${part.origin.kind === 'said' ? 'text-settled' : 'text-soft'}`}
    >
      {part.origin.kind === 'said' ? 'yours' : `${Math.round(part.confidence * 100)} %`}
    </span>
  </ChoiceRow>
)

/** What is written once and used in several places, and what a person says of it. */
export const PartsTab = () => {
  const converted = useDesk((s) => s.converted)
  const selection = useDesk((s) => s.selection)
  const select = useDesk((s) => s.select)
  const edit = useDesk((s) => s.edit)
  const screen = useDesk((s) => s.screen)
  const report = useWidths((s) => s.report)
  const layers = useDesk((s) => s.drawn?.layers ?? NONE)
  const [chosen, setChosen] = useState<string>()
  const rowsByKey = useMemo(() => new Map(layers.map((row) => [row.key, row])), [layers])

  if (!converted) return <p className="p-3 text-xs text-soft">Looking for what repeats …</p>
  const { parts, detached, refused, slots } = converted
  const last = toCodeKeys(report, selection).at(-1)
  const part =
    parts.find(({ instances }) => last !== undefined && instances.includes(last)) ??
    parts.find(({ id }) => id === chosen)
  /** Whether a layer stands in an instance of a part, and something can be said of it there. */
  const isInside = (layer: string): boolean => {
    const at = layers.findIndex(({ key }) => key === layer)
    if (layers[at]?.editable !== true) return false
    let { depth } = layers[at]
    for (let i = at - 1; i >= 0 && depth > 0; i--) {
      const above = layers[i]!
      if (above.depth >= depth) continue
      depth = above.depth
      if (parts.some(({ instances }) => instances.includes(above.key))) return true
    }
    return false
  }
  const show = (layer: string): void => select([toShownKey(report, screen, layer)])
  const choose = ({ id, instances }: UiPart): void => {
    setChosen(id)
    show(instances[0]!)
  }
  const rowOf = (key: string): LayerRow | undefined => rowsByKey.get(key)
  const nameOf = (key: string): string => rowOf(key)?.name ?? key
  const rows = (list: readonly UiPart[]) => (
    <ul>
      {list.map((one) => (
        <PartRow
          key={one.id}
          part={one}
          isChosen={one.id === part?.id}
          onChoose={() => choose(one)}
        />
      ))}
    </ul>
  )
  const drawn = parts.filter(({ origin }) => origin.kind === 'component')
  const found = parts.filter(({ origin }) => origin.kind !== 'component')
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      {converted.target !== 'html' && <PagesSettings />}
      {converted.target === 'html' && parts.length > 0 && (
        <p className="shrink-0 border-b border-rule px-3 py-1.5 text-xs text-soft">
          HTML has no components: parts are written out in it. The other targets have them.
        </p>
      )}
      <div className="min-h-0 flex-1 overflow-auto">
        <Section title="Components of the design" count={drawn.length}>
          {drawn.length === 0 ? (
            <p className="px-3 text-xs text-soft">No screen shows a component of the design.</p>
          ) : (
            rows(drawn)
          )}
        </Section>
        <Section title="Components" count={found.length}>
          {found.length === 0 ? (
            <p className="px-3 text-xs text-soft">
              Nothing repeats often enough for a component. Select a layer to make one.
            </p>
          ) : (
            rows(found)
          )}
        </Section>
        {detached.length > 0 && (
          <Section title="Inlined" count={detached.length}>
            <ul>
              {detached.map((layer) => (
                <li key={layer} className="flex items-baseline gap-2 px-3 py-0.5 text-xs">
                  <button
                    type="button"
                    className="min-w-0 flex-1 truncate text-left hover:underline"
                    onClick={() => show(layer)}
                  >
                    {nameOf(layer)}
                  </button>
                  <Button
                    className="h-6! text-xs"
                    onClick={() => void edit({ kind: 'set-part', layers: [layer], as: null })}
                  >
                    Reset
                  </Button>
                </li>
              ))}
            </ul>
          </Section>
        )}
      </div>
      {part && (
        <PartCard
          key={part.id}
          part={part}
          components={converted.components.filter((one) => one.part === part.id)}
          others={found.filter((one) => one !== part)}
          rowOf={rowOf}
          nameOf={nameOf}
          selected={last}
          onShow={show}
        />
      )}
      {(!part || (last !== undefined && !part.instances.includes(last))) && (
        <div className="flex items-baseline gap-2 border-t border-rule p-3 text-xs text-soft">
          {last === undefined ? (
            'Select a part to see its instances and props.'
          ) : (
            <>
              <span className="min-w-0 flex-1">
                {refused.includes(last)
                  ? `${nameOf(last)} cannot be a part: something in it opens, shows or sends what is on its page.`
                  : slots.includes(last)
                    ? `${nameOf(last)} is a slot of its part.`
                    : `${nameOf(last)} is not a part.`}
              </span>
              {refused.includes(last) || slots.includes(last) ? (
                <Button
                  className="h-6! text-xs"
                  onClick={() => void edit({ kind: 'set-part', layers: [last], as: null })}
                >
                  Reset
                </Button>
              ) : (
                <>
                  {isInside(last) && (
                    <Button
                      className="h-6! text-xs"
                      title="The page passes its content to the component"
                      onClick={() => void edit({ kind: 'set-part', layers: [last], as: 'slot' })}
                    >
                      Make a slot
                    </Button>
                  )}
                  <Button
                    className="h-6! text-xs"
                    onClick={() => void edit({ kind: 'set-part', layers: [last], as: 'part' })}
                  >
                    Make a component
                  </Button>
                </>
              )}
            </>
          )}
        </div>
      )}
    </div>
  )
}
