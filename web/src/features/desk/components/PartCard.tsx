import { saysNumber, type EmittedComponent, type UiPart } from '@unimorph/core'
import { useState } from 'react'
import type { LayerRow } from '../../../engine/protocol'
import { Button } from '../../../shared/ui/Button'
import { useDesk } from '../model/desk-store'
import { canTry } from '../model/part-page'
import { LayerPicture } from './LayerPicture'
import { PartTry } from './PartTry'
import { PropRow } from './PropRow'

type Value = EmittedComponent['uses'][number]['values'][number]

const shown = (value: Value): string =>
  value === undefined || value === ''
    ? '–'
    : value === true
      ? 'yes'
      : value === false
        ? 'no'
        : value.replaceAll('\n', ', ').replaceAll('\t', ' ')

type PropertiesProps = {
  readonly part: UiPart
  readonly component: EmittedComponent
  /** Absent where it cannot be run by itself. */
  readonly onTry: (() => void) | undefined
}

const Properties = ({ part, component, onTry }: PropertiesProps) => {
  const isLacking = (at: number): boolean =>
    component.props[at]!.kind !== 'flag' &&
    component.uses.some(({ values }) => values[at] === undefined)
  return (
    <table className="mb-2 w-full text-left">
      <caption className="pb-0.5 text-left font-mono text-soft">
        <span className="flex items-center">
          <span className="min-w-0 flex-1 truncate">{component.tag}</span>
          {onTry && (
            <Button className="h-5! px-1.5! font-sans text-xs" onClick={onTry}>
              Try it
            </Button>
          )}
        </span>
      </caption>
      <tbody>
        {component.props.map((prop, i) => (
          <PropRow
            key={`${prop.id} ${prop.name} ${prop.standard}`}
            part={part}
            prop={prop}
            isLacking={isLacking(i)}
            mayBeNumber={component.uses.every(({ values }) => saysNumber(values[i]))}
          />
        ))}
        {component.props.length === 0 && (
          <tr>
            <td className="text-soft">It is given nothing: all its instances are the same.</td>
          </tr>
        )}
      </tbody>
    </table>
  )
}

type Props = {
  readonly part: UiPart
  readonly components: readonly EmittedComponent[]
  /** The other parts that are no components of the design. */
  readonly others: readonly UiPart[]
  readonly rowOf: (layer: string) => LayerRow | undefined
  readonly nameOf: (layer: string) => string
  /** The layer that is selected. */
  readonly selected: string | undefined
  readonly onShow: (layer: string) => void
}

/** A part with its name, what its component is given, and its instances side by side. */
export const PartCard = ({ part, components, others, rowOf, nameOf, selected, onShow }: Props) => {
  const edit = useDesk((s) => s.edit)
  const files = useDesk((s) => s.converted?.files)
  const target = useDesk((s) => s.converted?.target ?? '')
  const [name, setName] = useState(part.name)
  const [tried, setTried] = useState<string>()
  const { id, instances, evidence, origin } = part
  const rename = (): void => {
    const wanted = name.trim()
    if (wanted === part.name) return
    if (wanted === '') setName(part.name)
    else void edit({ kind: 'set-part', layers: [id], name: wanted })
  }
  const running = components.find(({ tag }) => tag === tried)
  const givenTo = (layer: string): string => {
    const component = components.find(({ uses }) => uses.some((use) => use.layer === layer))
    const use = component?.uses.find((one) => one.layer === layer)
    return (
      component?.props
        .flatMap(({ kind }, i) => (kind === 'classes' ? [] : [shown(use?.values[i])]))
        .join(' · ') ?? 'inlined'
    )
  }
  return (
    <section
      aria-label="The chosen part"
      className="max-h-[65%] shrink-0 overflow-auto border-t border-ink p-3 text-xs"
    >
      <input
        aria-label="Name of the part"
        value={name}
        maxLength={80}
        onChange={(event) => setName(event.target.value)}
        onBlur={rename}
        onKeyDown={(event) => {
          if (event.key === 'Enter') rename()
          if (event.key === 'Escape') setName(part.name)
        }}
        className="mb-2 h-7 w-full rounded-sm border border-rule bg-sheet px-2 text-sm font-semibold"
      />
      <ul className="mb-2 list-disc pl-4 text-soft">
        {evidence.map((why) => (
          <li key={why}>{why}</li>
        ))}
        {part.saved >= 1 && (
          <li>about {Math.round(part.saved)} elements need not be written again</li>
        )}
      </ul>
      {components.map((component) => (
        <Properties
          key={component.tag}
          part={part}
          component={component}
          onTry={canTry(target) ? () => setTried(component.tag) : undefined}
        />
      ))}
      <ul className="mb-2 flex flex-col gap-1">
        {instances.map((layer) => (
          <li
            key={layer}
            className={`flex flex-wrap items-center gap-x-2 border-l-2 py-1 pl-2 ${layer === selected ? 'border-settled bg-tint' : 'border-transparent'}`}
          >
            <span className="w-full">
              <LayerPicture row={rowOf(layer)} />
            </span>
            <button
              type="button"
              title={givenTo(layer)}
              className="min-w-0 flex-1 truncate py-0.5 text-left hover:underline"
              onClick={() => onShow(layer)}
            >
              {nameOf(layer)} <span className="text-soft">{givenTo(layer)}</span>
            </button>
            {origin.kind !== 'component' && instances.length > 1 && (
              <Button
                className="h-5! px-1.5! text-xs"
                title="Make this instance a part of its own"
                onClick={() => void edit({ kind: 'set-part', layers: [layer], of: layer })}
              >
                Split off
              </Button>
            )}
            <Button
              className="h-5! px-1.5! text-xs"
              title="Inline this instance"
              onClick={() => void edit({ kind: 'set-part', layers: [layer], as: 'none' })}
            >
              Detach
            </Button>
          </li>
        ))}
      </ul>
      <div className="mb-2 flex flex-wrap gap-2">
        <Button
          className="h-6! text-xs"
          onClick={() => void edit({ kind: 'set-part', layers: [...instances], as: 'none' })}
        >
          {instances.length === 1 ? 'Inline' : 'Detach all'}
        </Button>
        {origin.kind !== 'component' && others.length > 0 && (
          <select
            aria-label="Merge into another part"
            value=""
            onChange={(event) =>
              void edit({ kind: 'set-part', layers: [...instances], of: event.target.value })
            }
            className="h-6 min-w-0 rounded-sm border border-rule bg-sheet px-1"
          >
            <option value="">Merge into …</option>
            {others.map((other) => (
              <option key={other.id} value={other.instances[0]}>
                {other.name}
              </option>
            ))}
          </select>
        )}
        {origin.kind === 'said' && (
          <Button
            className="h-6! text-xs"
            onClick={() =>
              void edit({ kind: 'set-part', layers: [...instances], as: null, of: null })
            }
          >
            Reset
          </Button>
        )}
      </div>
      {components.map(({ tag, path }) => {
        const content = files?.find((file) => file.path === path)?.content
        return content?.kind !== 'text' ? null : (
          <details key={tag}>
            <summary className="cursor-pointer font-mono">{path}</summary>
            <pre className="mt-1 overflow-x-auto bg-sheet p-2 font-mono">{content.text}</pre>
          </details>
        )
      })}
      {running && (
        <PartTry component={running} nameOf={nameOf} onClose={() => setTried(undefined)} />
      )}
    </section>
  )
}
