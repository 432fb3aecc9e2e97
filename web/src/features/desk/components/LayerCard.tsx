import type { ReactNode } from 'react'
import type { LayerDetails } from '../../../engine/inspect-layer'
import { messageOf } from '../../../shared/lib/api'
import { copyText } from '../../../shared/lib/copy-text'
import { saveAs } from '../../../shared/lib/save-as'
import { showProblem } from '../../../shared/lib/toast-store'
import { Button } from '../../../shared/ui/Button'
import { useDesk } from '../model/desk-store'
import { ArrangeMenu } from './ArrangeMenu'

/** A value that is copied by pressing it. */
const Value = ({ text, children }: { readonly text: string; readonly children?: ReactNode }) => (
  <button
    type="button"
    title={`Copy ${text}`}
    onClick={() => copyText(text)}
    className="max-w-full truncate rounded-sm px-1 text-left hover:bg-tint"
  >
    {children ?? text}
  </button>
)

const Row = ({ label, children }: { readonly label: string; readonly children: ReactNode }) => (
  <div className="flex items-baseline gap-1">
    <dt className="w-20 shrink-0 text-soft">{label}</dt>
    <dd className="flex min-w-0 flex-1 flex-wrap items-center gap-x-1">{children}</dd>
  </div>
)

const Token = ({ name }: { readonly name: string }) => (
  <span className="text-settled">
    <Value text={name} />
  </span>
)

const FILE_LABELS = {
  picture: 'Picture',
  svg: 'SVG',
  'svg-current-color': 'SVG, currentColor',
} as const

const SIDES = { left: '←', right: '→', top: '↑', bottom: '↓' } as const

const round = (value: number): string => `${Math.round(value * 100) / 100}`

const Files = ({ layer, files }: { layer: string; files: LayerDetails['files'] }) => {
  const layerFile = useDesk((s) => s.layerFile)
  const take = (kind: LayerDetails['files'][number]): void => {
    layerFile(layer, kind)
      .then((file) => {
        if (!file) throw new Error('This layer has no such file.')
        const type = file.name.endsWith('.svg') ? 'image/svg+xml' : 'application/octet-stream'
        saveAs(file.content, file.name, type)
      })
      .catch((error: unknown) => showProblem(messageOf(error)))
  }
  return (
    <div className="mt-2 flex flex-wrap items-center gap-1.5">
      <span className="w-20 text-soft">Download</span>
      {files.map((kind) => (
        <Button key={kind} className="h-6! text-xs" onClick={() => take(kind)}>
          {FILE_LABELS[kind]}
        </Button>
      ))}
    </div>
  )
}

/** What can be read off the selected layer: measures, distances, colours, text style; each can be copied. */
export const LayerCard = () => {
  const details = useDesk((s) => s.details)
  const count = useDesk((s) => s.selection.length)
  if (!details) {
    return (
      <p className="border-t border-rule p-3 text-xs text-soft">
        Select a layer to see its measures, colours and text style. Hold A to see the layer under
        the pointer alone.
      </p>
    )
  }
  const { box, text } = details
  return (
    <section
      aria-label="Selected layer"
      className="max-h-[46%] shrink-0 overflow-auto border-t border-ink p-3 text-xs"
    >
      <h3 className="mb-1.5 flex items-baseline gap-2 text-sm">
        <span className="min-w-0 truncate font-semibold">{details.name}</span>
        <span className="text-xs text-soft">
          {details.type}
          {count > 1 ? `, last of ${count}` : ''}
        </span>
        <span className="ml-auto">
          <ArrangeMenu />
        </span>
      </h3>
      <dl className="space-y-0.5">
        <Row label="Size">
          <Value text={round(box.width)} /> × <Value text={round(box.height)} />
        </Row>
        <Row label="Place">
          <Value text={round(box.x)} /> , <Value text={round(box.y)} />
          {details.rotationDeg !== 0 && <Value text={`${details.rotationDeg}°`} />}
        </Row>
        {details.distances.length > 0 && (
          <Row label="Distance">
            {details.distances.map(({ side, px, to }) => (
              <span key={side} title={`to ${to}`} className="whitespace-nowrap">
                <span aria-label={side}>{SIDES[side]}</span>
                <Value text={round(px)} />
              </span>
            ))}
          </Row>
        )}
        {text && (
          <>
            <Row label="Type">
              <Value text={text.style} />
              {text.token && <Token name={text.token} />}
            </Row>
            <Row label="Text">
              <Value text={text.content} />
            </Row>
          </>
        )}
        {details.colors.map(({ field, color, token }, i) => (
          <Row key={i} label={field}>
            <span
              aria-hidden
              className="size-3.5 rounded-sm border border-rule"
              style={{ background: color }}
            />
            <Value text={color} />
            {token && <Token name={token} />}
          </Row>
        ))}
        {details.facts.map(({ label, value, token }, i) => (
          <Row key={i} label={label}>
            <Value text={value} />
            {token && <Token name={token} />}
          </Row>
        ))}
        {details.opacity < 1 && (
          <Row label="Opacity">
            <Value text={`${Math.round(details.opacity * 100)}%`} />
          </Row>
        )}
      </dl>
      <Files layer={details.key} files={details.files} />
    </section>
  )
}
