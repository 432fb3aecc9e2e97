import { existsSync, mkdirSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import type { Browser } from '@playwright/test'
import { buildProject, convertFiles, writeFiles } from '@unimorph/cli'
import { findInvalid } from './declarations.js'
import { countMarks } from './lint.js'
import { SOURCES, WIDTHS, type PageRun, type RoleCount, type SourceId } from './figures.js'

export type Job = { readonly page: string; readonly family: string; readonly source: SourceId }

type AtWidth = {
  readonly text: { readonly within2: number; readonly within8: number; readonly missing: number }
  readonly pixel: { readonly mismatch: number }
  readonly layout: {
    readonly overflow: number | null
    readonly overlaps: number | null
    readonly cut: number | null
  }
  readonly absoluteShare: number | null
  readonly pixelWidthShare: number | null
}

/** What the scorer beside the pages says of one page. */
type Score = {
  readonly errors: readonly string[]
  readonly widths: Readonly<Record<string, AtWidth>>
  readonly semantics: {
    readonly macroF1: number
    readonly roles: Readonly<
      Record<
        string,
        { readonly truth: number; readonly generated: number; readonly matched: number }
      >
    >
  } | null
  readonly size: { readonly elementsRatio: number } | null
}

type Scorer = {
  score(options: {
    truthDir: string
    site: string
    browser: Browser
    shots: string | null
  }): Promise<Score>
}

const valuesAt = (width: number, at: AtWidth | undefined): [string, number | null][] =>
  at === undefined
    ? []
    : [
        [`within2@${width}`, at.text.within2],
        [`within8@${width}`, at.text.within8],
        [`missing@${width}`, at.text.missing],
        [`pixels@${width}`, at.pixel.mismatch],
        [`overflow@${width}`, at.layout.overflow],
        [`overlaps@${width}`, at.layout.overlaps],
        [`cut@${width}`, at.layout.cut],
      ]

const rolesOf = ({ semantics }: Score): Record<string, RoleCount> =>
  Object.fromEntries(
    Object.entries(semantics?.roles ?? {}).map(([role, { truth, generated, matched }]) => [
      role,
      { truth, made: generated, matched },
    ]),
  )

/** The browser without an interface draws the same, in less time. */
const HEADLESS = '/usr/bin/chromium-headless-shell'

/** Converts and scores pages, one after another, in this process and one browser. */
export const createScoring = async (
  practice: string,
  results: string,
  target: string,
  withShots: boolean,
): Promise<{ run(job: Job): Promise<PageRun>; close(): Promise<void> }> => {
  if (existsSync(HEADLESS)) process.env['EVAL_CHROMIUM'] ??= HEADLESS
  const { score } = (await import(pathToFileURL(join(practice, 'score.mjs')).href)) as Scorer
  const { launch } = (await import(pathToFileURL(join(practice, 'lib/browser.mjs')).href)) as {
    launch(): Promise<Browser>
  }
  const browser = await launch()
  const styles = await (await browser.newContext()).newPage()

  const run = async ({ page, family, source }: Job): Promise<PageRun> => {
    const { variant, widths } = SOURCES[source]
    const site = join(results, source, page)
    rmSync(site, { recursive: true, force: true })
    mkdirSync(site, { recursive: true })
    const suffix = variant === 'flat' ? '-flat' : ''
    const files = widths.map((width) => join(practice, page, `design-${width}${suffix}.svg`))
    const errors: string[] = []
    let invalid: readonly string[] = []
    const began = performance.now()
    try {
      const made = await convertFiles(files, { target })
      if (made.ok) {
        // A page of HTML is a site as it is delivered; the other targets' own tools build one.
        const project = target === 'html' ? site : `${site}.project`
        rmSync(project, { recursive: true, force: true })
        writeFiles(project, made.files, { force: true })
        if (project !== site) await buildProject(project, site)
        const sheets = made.files.flatMap(({ path, content }) =>
          path.endsWith('.css') && content.kind === 'text' ? [content.text] : [],
        )
        invalid = await findInvalid(styles, sheets.at(-1) ?? '')
      } else errors.push(...made.notes.map(({ message }) => message))
    } catch (error) {
      errors.push(`the conversion failed: ${(error as Error).stack ?? String(error)}`)
    }
    const ms = performance.now() - began
    const shots = withShots ? join(results, 'shots', source) : null
    const scored = await score({ truthDir: join(practice, page), site, browser, shots })
    const widest = scored.widths[String(WIDTHS[0])]
    const values: [string, number | null | undefined][] = [
      ...WIDTHS.flatMap((width) => valuesAt(width, scored.widths[String(width)])),
      ...[...countMarks(files)].map(([width, count]): [string, number] => [`lint@${width}`, count]),
      ['absolute', widest?.absoluteShare],
      ['fixed', widest?.pixelWidthShare],
      ['roles', scored.semantics?.macroF1 ?? 0],
      ['elements', scored.size?.elementsRatio],
      ['invalid', invalid.length],
      ['ms', ms],
    ]
    return {
      page,
      family,
      source,
      values: Object.fromEntries(
        values.filter((one): one is [string, number] => one[1] !== null && one[1] !== undefined),
      ),
      roles: rolesOf(scored),
      errors: [...errors, ...scored.errors],
      invalid,
    }
  }
  return { run, close: () => browser.close() }
}
