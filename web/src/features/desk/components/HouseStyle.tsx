import { useState } from 'react'
import {
  emitStyleOf,
  EXTRAS,
  FOLDERS,
  isSafePath,
  TARGETS,
  type CodeStyle,
  type FileLayout,
  type Extra,
  type TargetId,
  type PictureForm,
  type TemplatePlace,
  type Script,
  type Units,
} from '@unimorph/core'
import { Button } from '../../../shared/ui/Button'
import { Modal } from '../../../shared/ui/Modal'
import { useDesk } from '../model/desk-store'
import { RulesEditor } from './RulesEditor'

const FIELD = 'h-7 min-w-0 rounded-sm border border-rule bg-paper px-2 text-sm'

/** A setting of a few values, of which the first is what holds where nothing is said. */
type Row<K extends string> = {
  readonly field: K
  readonly label: string
  readonly options: readonly (readonly [value: string, label: string])[]
}

const CODE_ROWS: readonly Row<keyof CodeStyle>[] = [
  {
    field: 'quotes',
    label: 'Quotes',
    options: [
      ['double', 'double'],
      ['single', 'single'],
    ],
  },
  {
    field: 'semicolons',
    label: 'Semicolons',
    options: [
      ['true', 'after each statement'],
      ['false', 'only where needed'],
    ],
  },
  {
    field: 'indent',
    label: 'Indentation',
    options: [
      ['2', '2 spaces'],
      ['4', '4 spaces'],
      ['8', '8 spaces'],
      ['tab', 'a tab'],
    ],
  },
  {
    field: 'width',
    label: 'Line length',
    options: ['80', '100', '120', '140'].map((width) => [width, `${width} characters`] as const),
  },
  {
    field: 'trailingCommas',
    label: 'Trailing commas',
    options: [
      ['all', 'everywhere'],
      ['es5', 'not after parameters'],
      ['none', 'nowhere'],
    ],
  },
  {
    field: 'attributes',
    label: 'Attributes',
    options: [
      ['filled', 'on one line where they fit'],
      ['one-per-line', 'one a line where there are several'],
    ],
  },
  {
    field: 'brackets',
    label: 'Closing bracket',
    options: [
      ['own-line', 'on its own line'],
      ['same-line', 'after the last attribute'],
    ],
  },
  {
    field: 'arrows',
    label: 'Arrow function parentheses',
    options: [
      ['always', 'always'],
      ['avoid', 'only where needed'],
    ],
  },
]

const UNIT_OPTIONS = [
  ['drawn', 'rem for scale steps, px otherwise'],
  ['rem', 'in rem'],
  ['px', 'in px'],
] as const

const PICTURE_OPTIONS = [
  ['import', 'imported as modules'],
  ['public', 'by URL from public/'],
] as const

const ANGULAR_PICTURE_OPTIONS = [
  ['', 'as images'],
  ['framework', 'by NgOptimizedImage'],
] as const

const TEMPLATE_OPTIONS = [
  ['file', 'separate files'],
  ['class', 'inline'],
] as const

const AS_IT_COMES = {
  code: undefined,
  files: undefined,
  script: undefined,
  prefix: undefined,
  units: undefined,
  pictures: undefined,
  templates: undefined,
  rules: undefined,
  extras: undefined,
} as const

const NO_EXTRAS: readonly Extra[] = []
const EXTRA_LABELS: Readonly<Record<Extra, string>> = {
  comments: 'Comments that name the layer',
  examples: 'Usage page for components',
  sizes: 'Pictures in several sizes (WebP)',
  tests: 'Tests for components',
}

/** Pages have no components to be explained, and Flutter picks sizes of pictures in its own way. */
const hasExtra = (target: TargetId, extra: Extra): boolean => {
  switch (extra) {
    case 'sizes':
      return target !== 'flutter'
    case 'tests':
      return TARGETS[target].hasTests === true
    case 'comments':
    case 'examples':
      return target !== 'html'
  }
}

const NAME_OPTIONS = [
  ['', 'target’s default'],
  ['pascal', 'TideTable'],
  ['kebab', 'tide-table'],
  ['camel', 'tideTable'],
  ['snake', 'tide_table'],
] as const

/** What a select says, as the setting has it; the first option is not said at all. */
const read = (value: string, first: string): unknown => {
  if (value === first) return undefined
  if (value === 'true' || value === 'false') return value === 'true'
  return /^\d+$/.test(value) ? Number(value) : value
}

const without = <T extends object>(settings: T): T | undefined => {
  const left = Object.entries(settings).filter(([, value]) => value !== undefined)
  return left.length > 0 ? (Object.fromEntries(left) as T) : undefined
}

const Select = ({
  label,
  value,
  options,
  onChange,
}: {
  readonly label: string
  readonly value: string
  readonly options: readonly (readonly [value: string, label: string])[]
  readonly onChange: (value: string) => void
}) => (
  <label className="flex items-center gap-2 text-sm">
    <span className="w-36 shrink-0 text-soft">{label}</span>
    <select
      className={`${FIELD} flex-1`}
      value={value}
      onChange={(event) => onChange(event.target.value)}
    >
      {options.map(([one, shown]) => (
        <option key={one} value={one}>
          {shown}
        </option>
      ))}
      {!options.some(([one]) => one === value) && <option value={value}>{value}</option>}
    </select>
  </label>
)

const TextField = ({
  label,
  value,
  placeholder,
  help,
  isCode = false,
  isRight,
  onChange,
}: {
  readonly label: string
  readonly value: string
  readonly placeholder: string
  /** What may be written. */
  readonly help: string
  readonly isCode?: boolean
  readonly isRight: (text: string) => boolean
  readonly onChange: (value: string | undefined) => void
}) => {
  const [text, setText] = useState(value)
  const isWrong = text !== '' && !isRight(text)
  return (
    <label className="flex items-center gap-2 text-sm">
      <span className={`shrink-0 text-soft ${isCode ? 'w-24 font-mono text-xs' : 'w-36'}`}>
        {label}
      </span>
      <input
        className={`${FIELD} flex-1 aria-invalid:border-problem ${isCode ? 'font-mono text-xs' : ''}`}
        value={text}
        placeholder={placeholder}
        aria-invalid={isWrong || undefined}
        title={isWrong ? help : undefined}
        onChange={(event) => setText(event.target.value)}
        onBlur={() => {
          if (isWrong) setText(value)
          else if (text !== value) onChange(text === '' || text === placeholder ? undefined : text)
        }}
      />
    </label>
  )
}

/** How code is written, what files are called and where they lie; the code follows at once. */
export const HouseStyle = ({ onClose }: { readonly onClose: () => void }) => {
  const settings = useDesk((s) => s.settings)
  const {
    target,
    script,
    prefix,
    units,
    pictures,
    templates,
    extras = NO_EXTRAS,
    code = {},
    files = {},
  } = settings
  const set = { ...code, ...files, ...emitStyleOf(settings) }
  const hasCodebase = useDesk((s) => s.codebase !== undefined)
  const changeSettings = useDesk((s) => s.changeSettings)
  const changeCode = (field: keyof CodeStyle, value: unknown): void =>
    changeSettings({ code: without({ ...code, [field]: value }) })
  const changeFiles = (changes: Partial<FileLayout>): void =>
    changeSettings({ files: without({ ...files, ...changes }) })
  const renamed = Object.entries(files.renamed ?? {})
  // What is being filled in stays open when the last name is taken out.
  const [hadFolders] = useState(files.folders !== undefined)
  const isDart = target === 'flutter'
  return (
    <Modal title="House style" isOpen onClose={onClose} size="broad">
      <p className="mt-1 text-sm text-soft">
        {hasCodebase
          ? 'What is not set here follows the codebase and its formatter. '
          : 'The code changes at once, and so does the delivered Prettier configuration. '}
        These settings belong to the project; the command line reads them too.
      </p>
      <div className="mt-4 grid grid-cols-2 gap-8">
        <fieldset className="flex min-w-0 flex-col gap-2">
          <legend className="mb-2 font-semibold">Code</legend>
          {isDart && (
            <p className="text-sm text-soft">Dart has one way to be formatted, which is used.</p>
          )}
          {TARGETS[target].hasPlainScript && (
            <Select
              label="Written in"
              value={script ?? 'typescript'}
              options={[
                ['typescript', 'TypeScript'],
                ['javascript', 'JavaScript'],
              ]}
              onChange={(value) =>
                changeSettings({ script: read(value, 'typescript') as Script | undefined })
              }
            />
          )}
          {!isDart && (
            <Select
              label="Lengths"
              value={units ?? 'drawn'}
              options={UNIT_OPTIONS}
              onChange={(value) =>
                changeSettings({ units: read(value, 'drawn') as Units | undefined })
              }
            />
          )}
          {(target === 'react' || target === 'vue') && (
            <Select
              label="Pictures"
              value={pictures === 'public' ? 'public' : 'import'}
              options={PICTURE_OPTIONS}
              onChange={(value) =>
                changeSettings({ pictures: read(value, 'import') as PictureForm | undefined })
              }
            />
          )}
          {target === 'angular' && (
            <Select
              label="Pictures"
              value={pictures === 'framework' ? 'framework' : ''}
              options={ANGULAR_PICTURE_OPTIONS}
              onChange={(value) =>
                changeSettings({ pictures: read(value, '') as PictureForm | undefined })
              }
            />
          )}
          {TARGETS[target].hasTemplateFiles && (
            <Select
              label="Templates"
              value={templates ?? 'file'}
              options={TEMPLATE_OPTIONS}
              onChange={(value) =>
                changeSettings({ templates: read(value, 'file') as TemplatePlace | undefined })
              }
            />
          )}
          {!isDart &&
            CODE_ROWS.map(({ field, label, options }) => (
              <Select
                key={field}
                label={label}
                value={String(code[field] ?? options[0]![0])}
                options={options}
                onChange={(value) => changeCode(field, read(value, options[0]![0]))}
              />
            ))}
        </fieldset>
        <div className="flex min-w-0 flex-col gap-5">
          <fieldset className="flex flex-col gap-2">
            <legend className="mb-2 font-semibold">Files</legend>
            <Select
              label="Names"
              value={files.names ?? ''}
              options={NAME_OPTIONS}
              onChange={(value) =>
                changeFiles({ names: (value || undefined) as FileLayout['names'] })
              }
            />
            {target !== 'html' && (
              <TextField
                key={`prefix ${prefix ?? ''}`}
                label="Component prefix"
                value={prefix ?? ''}
                placeholder="nothing"
                help="A capital letter, and up to 11 letters or digits"
                isRight={(text) => /^[A-Z][A-Za-z0-9]{0,11}$/.test(text)}
                onChange={(value) => changeSettings({ prefix: value })}
              />
            )}
            <details open={hadFolders}>
              <summary className="cursor-pointer text-sm">Folder names</summary>
              <div className="mt-2 flex flex-col gap-2">
                {FOLDERS.map((name) => (
                  <TextField
                    key={`${name} ${files.folders?.[name] ?? ''}`}
                    label={name}
                    placeholder={name}
                    help="Letters, digits, - and _, with / between folders"
                    isCode
                    isRight={isSafePath}
                    value={files.folders?.[name] ?? ''}
                    onChange={(value) =>
                      changeFiles({ folders: without({ ...files.folders, [name]: value }) })
                    }
                  />
                ))}
              </div>
            </details>
          </fieldset>
          <fieldset className="text-sm">
            <legend className="font-semibold">Also delivered</legend>
            {EXTRAS.filter((extra) => hasExtra(target, extra)).map((extra) => (
              <label key={extra} className="mt-1 flex items-center gap-2">
                <input
                  type="checkbox"
                  checked={extras.includes(extra)}
                  onChange={({ target: { checked } }) => {
                    const next = EXTRAS.filter((one) =>
                      one === extra ? checked : extras.includes(one),
                    )
                    changeSettings({ extras: next.length > 0 ? next : undefined })
                  }}
                />
                {EXTRA_LABELS[extra]}
              </label>
            ))}
          </fieldset>
        </div>
      </div>
      {!isDart && <RulesEditor />}
      {renamed.length > 0 && (
        <section className="mt-5">
          <h3 className="font-semibold">Files with paths of their own</h3>
          <ul className="mt-1 text-xs">
            {renamed.map(([from, to]) => (
              <li key={from} className="flex items-center gap-2 py-0.5 font-mono">
                <span className="truncate text-soft">{from}</span>
                <span aria-hidden>→</span>
                <span className="flex-1 truncate">{to}</span>
                <Button
                  tone="bare"
                  onClick={() => {
                    const { [from]: _gone, ...rest } = files.renamed ?? {}
                    changeFiles({ renamed: without(rest) })
                  }}
                >
                  Reset
                </Button>
              </li>
            ))}
          </ul>
        </section>
      )}
      <div className="mt-5 flex justify-end gap-2">
        <Button disabled={without(set) === undefined} onClick={() => changeSettings(AS_IT_COMES)}>
          Reset to defaults
        </Button>
        <Button tone="main" onClick={onClose}>
          Done
        </Button>
      </div>
    </Modal>
  )
}
