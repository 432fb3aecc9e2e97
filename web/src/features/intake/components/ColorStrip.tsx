import type { Summary } from '@unimorph/core'

/** The colours of a design, those used most first. */
export const ColorStrip = ({ colors }: Pick<Summary, 'colors'>) => (
  <section aria-label="Colours">
    <h3 className="font-semibold">{colors.length} colours</h3>
    <ul className="mt-1 flex flex-wrap gap-1">
      {colors.map(({ color, count }) => (
        <li
          key={color}
          title={`${color}, used ${count} times`}
          className="size-5 rounded-sm border border-rule"
          style={{ background: color }}
        >
          <span className="sr-only">
            {color}, used {count} times
          </span>
        </li>
      ))}
    </ul>
  </section>
)
