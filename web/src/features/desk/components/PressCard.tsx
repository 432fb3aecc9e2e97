import type { Link, PanelKind, PanelSide } from '@unimorph/core'
import { useState } from 'react'
import { Button } from '../../../shared/ui/Button'
import { Choice } from '../../../shared/ui/Choice'
import { useDesk } from '../model/desk-store'
import { toCodeKeys, useWidths } from '../model/widths-store'

type Kind = Link['kind'] | 'none'

const KINDS: readonly { readonly value: Kind; readonly label: string }[] = [
  { value: 'none', label: 'nothing' },
  { value: 'screen', label: 'go to screen' },
  { value: 'address', label: 'open URL' },
  { value: 'section', label: 'scroll to layer' },
  { value: 'open', label: 'show screen over the page' },
  { value: 'close', label: 'close its panel' },
  { value: 'toggle', label: 'show or hide layer' },
  { value: 'tab', label: 'switch to tab' },
  { value: 'submit', label: 'submit form' },
]
const PANELS: readonly { readonly value: PanelKind; readonly label: string }[] = [
  { value: 'dialog', label: 'as a dialog' },
  { value: 'drawer', label: 'as a drawer' },
  { value: 'overlay', label: 'as an overlay' },
  { value: 'menu', label: 'as a menu' },
]
const SIDES: readonly { readonly value: PanelSide; readonly label: string }[] = [
  { value: 'start', label: 'from the start' },
  { value: 'end', label: 'from the end' },
  { value: 'top', label: 'from the top' },
  { value: 'bottom', label: 'from the bottom' },
]

/** An address is set when the field is left or Enter is pressed. */
const AddressField = ({
  value,
  onDone,
}: {
  readonly value: string
  readonly onDone: (url: string) => void
}) => {
  const [typed, setTyped] = useState(value)
  const done = (): void => {
    if (typed.trim() && typed !== value) onDone(typed.trim())
  }
  return (
    <input
      aria-label="Address"
      value={typed}
      placeholder="https://"
      maxLength={2000}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={done}
      onKeyDown={(event) => event.key === 'Enter' && done()}
      className="h-7 w-full rounded-sm border border-rule bg-sheet px-2"
    />
  )
}

/** A layer is chosen on the desk: press Choose, then select it anywhere. */
const LayerField = ({
  value,
  onDone,
}: {
  readonly value: string | undefined
  readonly onDone: (layer: string) => void
}) => {
  const layers = useDesk((s) => s.drawn?.layers)
  const screen = useDesk((s) => s.screen)
  const report = useWidths((s) => s.report)
  const [typed, setTyped] = useState('')
  const name = layers?.find((layer) => layer.key === value)?.name ?? value
  const wanted = typed.trim().toLowerCase()
  const found = wanted
    ? (layers ?? [])
        .filter((l) => l.screen === screen && l.name.toLowerCase().includes(wanted))
        .slice(0, 6)
    : []
  return (
    <div className="w-full">
      <input
        aria-label="Layer"
        value={typed}
        placeholder={name ?? 'name of a layer'}
        onChange={(event) => setTyped(event.target.value)}
        className="h-7 w-full rounded-sm border border-rule bg-sheet px-2 placeholder:text-ink"
      />
      {found.map((layer) => (
        <button
          key={layer.key}
          type="button"
          onClick={() => {
            setTyped('')
            onDone(toCodeKeys(report, [layer.key])[0]!)
          }}
          className="flex w-full gap-2 px-2 py-0.5 text-left hover:bg-tint"
        >
          <span className="min-w-0 flex-1 truncate">{layer.name}</span>
          <span className="text-soft">{layer.type}</span>
        </button>
      ))}
    </div>
  )
}

/** What happens when the chosen layer is pressed, at every width. */
export const PressCard = ({ layer, press }: { readonly layer: string; readonly press?: Link }) => {
  const edit = useDesk((s) => s.edit)
  const screens = useDesk((s) => s.drawn?.screens) ?? []
  const [wanted, setWanted] = useState<{ readonly layer: string; readonly kind: Kind }>()
  // What still needs something said about it is not set yet.
  const kind = wanted?.layer === layer ? wanted.kind : (press?.kind ?? 'none')
  const own = press?.kind === kind ? press : undefined
  const say = (next: Link | null): void => {
    setWanted(undefined)
    void edit({ kind: 'set-interaction', layers: [layer], press: next })
  }
  const choose = (next: Kind): void => {
    if (next === 'none') say(null)
    else if (next === 'close' || next === 'submit') say({ kind: next })
    else setWanted({ layer, kind: next })
  }
  const targets = screens.map(({ key, name }) => ({ value: key, label: name }))
  const screen = own && 'screen' in own ? own.screen : ''
  const target = own && 'layer' in own ? own.layer : undefined
  const opening = own?.kind === 'open' ? own : undefined
  return (
    <fieldset className="mb-2 flex flex-wrap items-center gap-1.5 border-t border-rule pt-2">
      <legend className="float-left w-full text-soft">When it is pressed</legend>
      <Choice isLabelHidden label="On press" value={kind} options={KINDS} onChange={choose} />
      {(kind === 'screen' || kind === 'open') && (
        <Choice
          isLabelHidden
          label="Which screen"
          value={screen}
          options={[{ value: '', label: 'which screen?' }, ...targets]}
          onChange={(key) => {
            if (!key) return
            if (kind === 'screen') say({ kind, screen: key })
            else say({ kind, as: 'dialog', side: 'end', ...opening, screen: key })
          }}
        />
      )}
      {opening && (
        <Choice
          isLabelHidden
          label="How it is shown"
          value={opening.as}
          options={PANELS}
          onChange={(as) => say({ ...opening, as })}
        />
      )}
      {opening?.as === 'drawer' && (
        <Choice
          isLabelHidden
          label="From where"
          value={opening.side}
          options={SIDES}
          onChange={(side) => say({ ...opening, side })}
        />
      )}
      {kind === 'address' && (
        <AddressField
          key={layer}
          value={own?.kind === 'address' ? own.url : ''}
          onDone={(url) => say({ kind: 'address', url })}
        />
      )}
      {(kind === 'section' || kind === 'tab') && (
        <LayerField value={target} onDone={(key) => say({ kind, layer: key })} />
      )}
      {kind === 'toggle' && (
        <>
          <LayerField
            value={target}
            onDone={(key) => say({ kind, starts: 'hidden', layer: key })}
          />
          {own?.kind === 'toggle' && (
            <Button
              className="h-6! text-xs"
              onClick={() => say({ ...own, starts: own.starts === 'hidden' ? 'shown' : 'hidden' })}
            >
              {own.starts === 'hidden' ? 'Initially hidden' : 'Initially shown'}
            </Button>
          )}
        </>
      )}
    </fieldset>
  )
}
