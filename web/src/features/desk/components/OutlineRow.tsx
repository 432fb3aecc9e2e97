import { memo, type MouseEvent } from 'react'
import type { Finding } from '@unimorph/core'
import type { LayerRow } from '../../../engine/protocol'
import { SeverityMark } from './SeverityMark'

const INDENT = 14

type Props = {
  readonly row: LayerRow
  readonly index: number
  readonly top: number
  readonly height: number
  readonly isSelected: boolean
  readonly isOpen: boolean
  /** The gravest thing found about the layer. */
  readonly mark: Finding['severity'] | undefined
  readonly onPick: (row: LayerRow, event: MouseEvent) => void
  readonly onRename: (row: LayerRow) => void
  readonly onToggle: (key: string) => void
  readonly onPoint: (key: string | undefined) => void
}

const formatSize = ({ width, height }: LayerRow['box']): string =>
  `${Math.round(width)} × ${Math.round(height)}`

/** A layer in the outline. Drawn again only when something of its own changes, so that long lists scroll. */
export const OutlineRow = memo(
  ({
    row,
    index,
    top,
    height,
    isSelected,
    isOpen,
    mark,
    onPick,
    onRename,
    onToggle,
    onPoint,
  }: Props) => {
    const hasChildren = row.childCount > 0
    return (
      <div
        id={`row-${index}`}
        role="row"
        data-key={row.key}
        aria-level={row.depth + 1}
        aria-rowindex={index + 1}
        aria-selected={isSelected}
        {...(hasChildren ? { 'aria-expanded': isOpen } : {})}
        onClick={(event) => onPick(row, event)}
        onDoubleClick={() => onRename(row)}
        onPointerEnter={() => onPoint(row.key)}
        style={{ position: 'absolute', top, height, left: 0, right: 0 }}
        className={`flex items-center border-l-2 pr-3 select-none ${
          isSelected ? 'border-settled bg-tint' : 'border-transparent hover:bg-sheet'
        } ${row.visible ? '' : 'text-soft line-through'}`}
      >
        <span
          role="gridcell"
          className="flex min-w-0 flex-1 items-center"
          style={{ paddingLeft: 6 + row.depth * INDENT }}
        >
          <span
            aria-hidden
            className="w-4 shrink-0 text-center text-xs text-soft"
            onClick={(event) => {
              if (!hasChildren) return
              event.stopPropagation()
              onToggle(row.key)
            }}
          >
            {hasChildren ? (isOpen ? '▾' : '▸') : ''}
          </span>
          <span className="truncate" title={row.name}>
            {row.name}
          </span>
          {mark && <SeverityMark severity={mark} />}
        </span>
        <span role="gridcell" className="w-16 shrink-0 truncate pl-1 text-xs text-soft">
          {row.type}
        </span>
        <span role="gridcell" className="w-20 shrink-0 text-right text-xs text-soft">
          {formatSize(row.box)}
        </span>
      </div>
    )
  },
)
