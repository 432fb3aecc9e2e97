import { useVirtualizer } from '@tanstack/react-virtual'
import { useEffect, useMemo, useRef, useState, type KeyboardEvent, type MouseEvent } from 'react'
import type { LayerRow } from '../../../engine/protocol'
import { showProblem } from '../../../shared/lib/toast-store'
import { NameDialog } from '../../../shared/ui/NameDialog'
import { useDesk } from '../model/desk-store'
import { findAncestors, initiallyOpen, visibleRows } from '../model/outline-rows'

const ROW_HEIGHT = 26
const INDENT = 14

const formatSize = ({ width, height }: LayerRow['box']): string =>
  `${Math.round(width)} × ${Math.round(height)}`

const toggled = <T,>(set: ReadonlySet<T>, item: T): Set<T> => {
  const next = new Set(set)
  if (!next.delete(item)) next.add(item)
  return next
}

/** The design as a tree-table: one row a layer. */
export const Outline = () => {
  const drawn = useDesk((s) => s.drawn)
  const selection = useDesk((s) => s.selection)
  const select = useDesk((s) => s.select)
  const edit = useDesk((s) => s.edit)
  const [open, setOpen] = useState<ReadonlySet<string>>(new Set())
  const [query, setQuery] = useState('')
  const [renaming, setRenaming] = useState<LayerRow>()
  const list = useRef<HTMLDivElement>(null)

  const layers = useMemo(() => drawn?.layers ?? [], [drawn])
  const firstKey = layers[0]?.key
  useEffect(() => {
    setOpen(initiallyOpen(layers))
    // Only a different design starts anew; an edit keeps what is open.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [firstKey])

  const rows = useMemo(() => visibleRows(layers, open, query), [layers, open, query])
  const primary = selection.at(-1)
  const index = rows.findIndex((row) => row.key === primary)
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => list.current,
    estimateSize: () => ROW_HEIGHT,
    overscan: 12,
  })

  // A layer selected elsewhere is unfolded to and brought into view.
  useEffect(() => {
    if (!primary) return
    const at = layers.findIndex((l) => l.key === primary)
    if (at < 0) return
    const closed = findAncestors(layers, at).filter((l) => !open.has(l.key))
    if (closed.length > 0) setOpen(new Set([...open, ...closed.map((l) => l.key)]))
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [primary, layers])
  useEffect(() => {
    if (index >= 0) virtual.scrollToIndex(index)
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [index, primary])

  const pick = (row: LayerRow, event: MouseEvent): void => {
    if (event.shiftKey && index >= 0) {
      const to = rows.indexOf(row)
      const [a, b] = index < to ? [index, to] : [to, index]
      const range = rows.slice(a, b + 1).map((r) => r.key)
      select(index < to ? range : range.reverse())
    } else if (event.ctrlKey || event.metaKey) {
      select(
        selection.includes(row.key)
          ? selection.filter((k) => k !== row.key)
          : [...selection, row.key],
      )
    } else select([row.key])
  }

  const withEditable = (row: LayerRow | undefined, work: (row: LayerRow) => void): void => {
    if (!row) return
    if (row.editable) work(row)
    else showProblem(`${row.name} belongs to a component; change it there.`)
  }

  const move = (to: number): void => {
    const row = rows[Math.min(rows.length - 1, Math.max(0, to))]
    if (row) select([row.key])
  }

  const onKeyDown = (event: KeyboardEvent): void => {
    const row = rows[index]
    const keys: Record<string, () => void> = {
      ArrowDown: () => move(index + 1),
      ArrowUp: () => move(index - 1),
      Home: () => move(0),
      End: () => move(rows.length - 1),
      PageDown: () => move(index + 15),
      PageUp: () => move(index - 15),
      ArrowRight: () => {
        if (row && row.childCount > 0 && !open.has(row.key)) setOpen(toggled(open, row.key))
        else move(index + 1)
      },
      ArrowLeft: () => {
        if (row && row.childCount > 0 && open.has(row.key)) setOpen(toggled(open, row.key))
        else if (row) {
          const around = findAncestors(layers, layers.indexOf(row)).at(-1)
          if (around) select([around.key])
        }
      },
      F2: () => withEditable(row, setRenaming),
      Delete: () => withEditable(row, (r) => void edit({ kind: 'remove', layer: r.key })),
      h: () =>
        withEditable(row, (r) => void edit({ kind: 'hide', layer: r.key, hidden: r.visible })),
    }
    const run = keys[event.key]
    if (!run || event.ctrlKey || event.metaKey || event.altKey) return
    event.preventDefault()
    run()
  }

  return (
    <div className="flex h-full flex-col">
      <div className="border-b border-rule p-2">
        <input
          type="search"
          aria-label="Find layers by name, kind or text"
          placeholder="Find by name, kind or text"
          value={query}
          onChange={(event) => setQuery(event.target.value)}
          className="h-7 w-full rounded-sm border border-rule bg-sheet px-2 placeholder:text-soft"
        />
      </div>
      <div className="flex border-b border-rule px-3 py-1 text-xs text-soft" aria-hidden>
        <span className="flex-1">Layer</span>
        <span className="w-16">Kind</span>
        <span className="w-20 text-right">Size</span>
      </div>
      <div
        ref={list}
        role="treegrid"
        aria-label="Layers"
        aria-multiselectable
        aria-rowcount={rows.length}
        aria-activedescendant={index >= 0 ? `row-${index}` : undefined}
        tabIndex={0}
        onKeyDown={onKeyDown}
        className="min-h-0 flex-1 overflow-auto -outline-offset-2"
      >
        {rows.length === 0 && drawn && (
          <div role="row">
            <div role="gridcell" className="p-3 text-soft">
              No layer matches “{query}”. Try a kind such as text, frame or image.
            </div>
          </div>
        )}
        <div role="presentation" style={{ height: virtual.getTotalSize(), position: 'relative' }}>
          {virtual.getVirtualItems().map((item) => {
            const row = rows[item.index]!
            const isSelected = selection.includes(row.key)
            const hasChildren = row.childCount > 0
            return (
              <div
                key={row.key}
                id={`row-${item.index}`}
                role="row"
                aria-level={row.depth + 1}
                aria-rowindex={item.index + 1}
                aria-selected={isSelected}
                {...(hasChildren ? { 'aria-expanded': open.has(row.key) } : {})}
                onClick={(event) => pick(row, event)}
                onDoubleClick={() => withEditable(row, setRenaming)}
                style={{
                  position: 'absolute',
                  top: item.start,
                  height: ROW_HEIGHT,
                  left: 0,
                  right: 0,
                }}
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
                      setOpen(toggled(open, row.key))
                    }}
                  >
                    {hasChildren ? (open.has(row.key) || query ? '▾' : '▸') : ''}
                  </span>
                  <span className="truncate" title={row.name}>
                    {row.name}
                  </span>
                </span>
                <span role="gridcell" className="w-16 shrink-0 truncate pl-1 text-xs text-soft">
                  {row.type}
                </span>
                <span role="gridcell" className="w-20 shrink-0 text-right text-xs text-soft">
                  {formatSize(row.box)}
                </span>
              </div>
            )
          })}
        </div>
      </div>
      {renaming && (
        <NameDialog
          title="Rename layer"
          initial={renaming.name}
          onClose={() => setRenaming(undefined)}
          onDone={(name) => {
            setRenaming(undefined)
            void edit({ kind: 'rename', layer: renaming.key, name })
          }}
        />
      )}
    </div>
  )
}
