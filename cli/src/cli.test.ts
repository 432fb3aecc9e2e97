import { spawnSync } from 'node:child_process'
import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { listShippedFonts } from '@unimorph/fonts'
import { startCommands, type Said } from './testing/start-commands.js'

// The real command line on the built packages, as a person runs it.
const BIN = resolve(__dirname, '../bin/unimorph.mjs')
const DEMO = resolve(__dirname, '../../demo/designs')

// The header of a PNG of 48 x 32 px.
const PNG = Buffer.from('89504e470d0a1a0a0000000d494844520000003000000020080200000000000000', 'hex')

let folder: string
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'unimorph-cli-'))
})
afterEach(() => rmSync(folder, { recursive: true, force: true }))

const commands = startCommands()
afterAll(commands.stop)
const unimorph = (...args: string[]): Promise<Said> => commands.run(args, folder)
/** The program as a person starts it. */
const program = (...args: string[]) =>
  spawnSync(process.execPath, [BIN, ...args], { encoding: 'utf8', cwd: folder })
const write = (name: string, content: string): string => {
  const path = join(folder, name)
  writeFileSync(path, content)
  return path
}
const svg = (inside: string): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="100" height="50">${inside}</svg>`
const listAll = (dir: string): string[] =>
  readdirSync(dir, { recursive: true, withFileTypes: true })
    .filter((e) => e.isFile())
    .map((e) => join(e.parentPath, e.name).slice(dir.length + 1))
    .sort()

describe('findings', () => {
  const LOOSE = svg(
    '<rect id="card" x="5" y="5" width="90" height="40" fill="#eee"/><text x="10" y="25" font-size="14">Gull</text><rect id="far" x="200" width="9" height="9"/>',
  )

  test('are listed with the grade, and mended into edits that convert takes', async () => {
    const file = write('loose.svg', LOOSE)
    const listed = await unimorph('findings', file)
    expect(listed.status).toBe(0)
    expect(listed.stdout).toMatch(/grade [A-E], [\d.]+ of 100/)
    expect(listed.stdout).toContain('Layer outside its screen: 1, 1 can be mended [outside]')

    const mended = await unimorph('findings', file, '--mend', 'safe', '--out', 'edits.json')
    expect(mended.stdout).toMatch(/before, A [\d.]+ after/)
    const edits = JSON.parse(readFileSync(join(folder, 'edits.json'), 'utf8')) as { kind: string }[]
    expect(edits.map((edit) => edit.kind)).toEqual(expect.arrayContaining(['remove', 'enclose']))
    expect((await unimorph('convert', file, '--edits', 'edits.json', '--out', 'out')).status).toBe(
      0,
    )
    const again = await unimorph('findings', file, '--edits', 'edits.json', '--json')
    expect((JSON.parse(again.stdout) as { findings: unknown[] }).findings).toEqual([])
  })

  test.each([
    ['no JSON', '{', /not valid JSON/],
    ['no list', '{}', /must hold a list/],
    ['an unknown edit', '[{"kind":"melt","layer":"a"}]', /edit 1 \(melt\) cannot be used/],
  ])('edits that are %s are refused, and nothing is written', async (_what, content, message) => {
    const file = write('loose.svg', LOOSE)
    const edits = write('bad.json', content)
    const { status, stderr } = await unimorph('convert', file, '--edits', edits, '--out', 'out')
    expect(status).toBe(1)
    expect(stderr).toMatch(message)
    expect(existsSync(join(folder, 'out'))).toBe(false)
  })

  test('an unknown kind is refused with those there are', async () => {
    const { status, stderr } = await unimorph(
      'findings',
      write('a.svg', LOOSE),
      '--mend',
      'everything',
    )
    expect(status).toBe(2)
    expect(stderr).toContain('allowed: safe, all, covered')
  })
})

describe('convert', () => {
  test('fonts of a folder measure the texts and are delivered', async () => {
    const design = write(
      'a.svg',
      svg('<text y="20" font-family="Lora" font-size="16">Low water</text>'),
    )
    const fonts = join(folder, 'fonts')
    mkdirSync(fonts)
    const lora = listShippedFonts().find((f) => f.id === 'lora-400')!.path
    writeFileSync(join(fonts, 'lora.woff2'), readFileSync(lora))
    const { status } = await unimorph('convert', design, '--out', 'site', '--fonts', 'fonts')
    expect(status).toBe(0)
    expect(listAll(join(folder, 'site'))).toContain('fonts/lora-400.woff2')
    expect(readFileSync(join(folder, 'site/styles.css'), 'utf8')).toContain('fonts/lora-400.woff2')
    writeFileSync(join(fonts, 'broken.ttf'), 'no font')
    const broken = await unimorph('convert', design, '--out', 'site2', '--fonts', 'fonts')
    expect(broken.status).toBe(1)
    expect(broken.stderr).toContain('broken.ttf: it is no WOFF2, WOFF, TTF or OTF file.')
  })

  test('the program, started from its one file, writes what its modules write', async () => {
    const { loadBundle } = (await import('../bin/load-bundle.mjs' as string)) as {
      loadBundle: (command: string) => object | undefined
    }
    expect(loadBundle('convert')).toBeDefined()
    const design = join(DEMO, 'night-ferry-kiosk.svg')
    for (const target of ['html', 'vue', 'flutter']) {
      expect(program('convert', design, '--target', target, '--out', `a-${target}`).status).toBe(0)
      await unimorph('convert', design, '--target', target, '--out', `b-${target}`)
      const [one, other] = [join(folder, `a-${target}`), join(folder, `b-${target}`)]
      const files = listAll(one)
      expect(listAll(other)).toEqual(files)
      for (const file of files)
        expect(readFileSync(join(one, file))).toEqual(readFileSync(join(other, file)))
    }
  })

  test('the program itself writes a project and says how many files', () => {
    const { status, stdout } = program('convert', join(DEMO, 'tidewrack.json'), '--out', 'site')
    expect(status).toBe(0)
    expect(stdout).toMatch(/^\d+ files written to site\n$/)
    expect(listAll(join(folder, 'site'))).toEqual([
      '.gitignore',
      '.htmlvalidate.json',
      '.nvmrc',
      '.prettierignore',
      '.prettierrc',
      '404.html',
      'README.md',
      'assets/shore.png',
      'behaviour.js',
      'favicon.svg',
      'handlers.js',
      'index.html',
      'log-a-sighting.html',
      'package.json',
      'src/styles.css',
      'styles.css',
    ])
    expect(readFileSync(join(folder, 'site/styles.css'), 'utf8')).toContain('.bg-sand')
  })

  test('twice gives the same bytes and is no conflict', async () => {
    const run = () =>
      unimorph('convert', join(DEMO, 'night-ferry-kiosk.svg'), '--target', 'react', '--out', 'app')
    expect((await run()).status).toBe(0)
    const before = listAll(join(folder, 'app')).map((f) => readFileSync(join(folder, 'app', f)))
    expect((await run()).status).toBe(0)
    const after = listAll(join(folder, 'app')).map((f) => readFileSync(join(folder, 'app', f)))
    expect(after).toEqual(before)
  })

  test('several files become the pages of one project, with pictures from beside them', async () => {
    writeFileSync(join(folder, 'dot.png'), PNG)
    write('one.svg', svg('<image width="9" height="9" href="dot.png"/>'))
    write('two.svg', svg('<rect width="5" height="5"/>'))
    const { status, stderr } = await unimorph('convert', 'one.svg', 'two.svg', '--out', 'site')
    expect([status, stderr]).toEqual([0, ''])
    expect(listAll(join(folder, 'site'))).toEqual(
      expect.arrayContaining(['assets/dot.png', 'index.html', 'two.html']),
    )
  })

  test('pictures outside the design’s folder are not read', async () => {
    mkdirSync(join(folder, 'in'))
    write('secret.png', 'secret')
    write('in/a.svg', svg('<image id="P" width="9" height="9" href="../secret.png"/>'))
    const { status, stderr } = await unimorph('convert', 'in/a.svg', '--out', 'site')
    expect(status).toBe(0)
    expect(stderr).toContain('did not come with')
    expect(listAll(join(folder, 'site')).filter((f) => f.endsWith('.png'))).toEqual([])
  })

  test('--select converts one layer, and --json reports for programs', async () => {
    const { status, stdout } = await unimorph(
      'convert',
      join(DEMO, 'tidewrack.json'),
      '--out',
      'b',
      '--select',
      'tide-card',
      '--json',
    )
    expect(status).toBe(0)
    const report = JSON.parse(stdout) as { ok: boolean; files: string[]; notes: { code: string }[] }
    expect(report).toMatchObject({ ok: true })
    expect(report.files).toContain('index.html')
    expect(readFileSync(join(folder, 'b/index.html'), 'utf8')).not.toContain('Recent sightings')
  })

  test('a changed file is not overwritten unless asked', async () => {
    const args = ['convert', join(DEMO, 'tidewrack.json'), '--out', 'site']
    await unimorph(...args)
    const page = join(folder, 'site/index.html')
    writeFileSync(page, 'mine')
    const { status, stderr } = await unimorph(...args)
    expect(status).toBe(1)
    expect(stderr).toContain('index.html')
    expect(readFileSync(page, 'utf8')).toBe('mine')
    expect((await unimorph(...args, '--force')).status).toBe(0)
    expect(readFileSync(page, 'utf8')).toContain('<!doctype html>')
  })
})

test('states that are not drawn are left out when asked for', async () => {
  const design = join(DEMO, 'tidewrack.json')
  const page = async (...options: string[]): Promise<string> => {
    expect((await unimorph('convert', design, '--out', 'site', '--force', ...options)).status).toBe(
      0,
    )
    return readFileSync(join(folder, 'site/index.html'), 'utf8')
  }
  expect(await page()).toContain('hover:underline')
  const drawn = await page('--drawn-states')
  expect(drawn).not.toContain('hover:underline')
  expect(drawn).toContain('hover:bg-deep')
})

describe('mistakes get one message, the right exit code and no stack', () => {
  test.each([
    ['a missing file', ['convert', 'nope.svg', '--out', 'x'], 1, 'nope.svg: cannot be read'],
    ['a folder', ['convert', '.', '--out', 'x'], 1, 'it is a folder'],
    ['no --out', ['convert', 'a.svg'], 2, '--out'],
    [
      'a language that is none',
      ['convert', 'a.svg', '--language', 'german', '--out', 'x'],
      2,
      'write one such as de or pt-BR',
    ],
    [
      'a library that is none',
      ['convert', 'a.svg', '--library', 'books', '--out', 'x'],
      2,
      'allowed: page, only',
    ],
    [
      'a grain that is none',
      ['convert', 'a.svg', '--grain', 'sand', '--out', 'x'],
      2,
      'allowed: page, sections, fine',
    ],
    [
      'an unknown target',
      ['convert', 'a.svg', '--target', 'cobol', '--out', 'x'],
      2,
      'allowed: html, react, vue, angular, flutter',
    ],
    [
      'a styling the target does not have',
      ['convert', 'a.svg', '--target', 'vue', '--styling', 'css-in-js', '--out', 'x'],
      2,
      'Vue does not have it; allowed: tailwind, css, scss, css-modules',
    ],
    [
      'JavaScript where there are only types',
      ['convert', 'a.svg', '--target', 'angular', '--script', 'javascript', '--out', 'x'],
      2,
      'allowed: typescript',
    ],
    [
      'a styling of pages for Flutter',
      ['convert', 'a.svg', '--target', 'flutter', '--styling', 'css', '--out', 'x'],
      2,
      'Flutter has no such setting',
    ],
    ['an unknown command', ['fly'], 2, 'fly'],
    ['a folder that is no project', ['build', '.', '--site', 'x'], 1, 'no delivered project'],
  ])('%s', async (_what, args, code, message) => {
    const { status, stderr } = await unimorph(...args)
    expect(status).toBe(code)
    expect(stderr).toContain(message)
    expect(stderr).not.toMatch(/\n\s+at /)
  })

  test.each([
    ['an empty file', ''],
    ['broken XML', '<svg><g></svg>'],
    ['an entity bomb', '<!DOCTYPE svg [<!ENTITY a "b">]><svg>&a;</svg>'],
    ['something else', 'hello'],
  ])('%s', async (_what, content) => {
    const { status, stderr } = await unimorph('convert', write('bad.svg', content), '--out', 'x')
    expect(status).toBe(1)
    expect(stderr).toMatch(/^error: "bad\.svg"/)
    expect(existsSync(join(folder, 'x'))).toBe(false)
  })

  test('an output folder that is a file', async () => {
    write('out', '')
    const { status, stderr } = await unimorph(
      'convert',
      join(DEMO, 'tidewrack.json'),
      '--out',
      'out',
    )
    expect([status, stderr]).toEqual([1, expect.stringContaining('a file is in the way')])
  })

  test('a layer that is not there, with the nearest that is', async () => {
    const { status, stderr } = await unimorph(
      'convert',
      join(DEMO, 'tidewrack.json'),
      '--out',
      'x',
      '--select',
      'tide-crad',
    )
    expect([status, stderr]).toEqual([1, expect.stringContaining('did you mean "tide-card"?')])
  })
})

describe('build', () => {
  test.each(['html', 'react'])(
    'makes a static site of a delivered %s project with its own tools',
    async (target) => {
      await unimorph(
        'convert',
        join(DEMO, 'tidewrack.json'),
        '--target',
        target,
        '--out',
        'project',
      )
      const { status, stderr, stdout } = await unimorph('build', 'project', '--site', 'site')
      expect([status, stderr, stdout]).toEqual([0, '', 'site written to site\n'])
      const files = listAll(join(folder, 'site'))
      expect(files).toContain('index.html')
      expect(files.some((f) => f.endsWith('.css'))).toBe(true)
      expect(files.some((f) => f.endsWith('package.json') || f.includes('node_modules'))).toBe(
        false,
      )
      expect(existsSync(join(folder, 'project/node_modules'))).toBe(false)
    },
    60_000,
  )

  test('says what is wrong with code that does not type-check', async () => {
    await unimorph('convert', join(DEMO, 'tidewrack.json'), '--target', 'react', '--out', 'project')
    writeFileSync(join(folder, 'project/src/App.tsx'), 'export const App: number = "x"')
    const { status, stderr } = await unimorph('build', 'project', '--site', 'site')
    expect([status, stderr]).toEqual([1, expect.stringContaining('src/App.tsx')])
  }, 60_000)
})

describe('settings file', () => {
  const DESIGN = svg('<text id="word" x="10" y="25" font-size="14">Gull</text>')

  test('in the current folder is used, and said; what the command line says wins', async () => {
    write('page.svg', DESIGN)
    write('unimorph.config.json', '{ "target": "vue", "styling": "css", "language": "de" }')
    const { stdout } = await unimorph('convert', 'page.svg', '--out', 'vue')
    expect(stdout).toMatch(/written to vue, by the settings in unimorph\.config\.json\n$/)
    expect(listAll(join(folder, 'vue'))).toContain('src/App.vue')
    expect(readFileSync(join(folder, 'vue/index.html'), 'utf8')).toContain('lang="de"')
    expect(readFileSync(join(folder, 'vue/package.json'), 'utf8')).not.toContain('tailwind')

    await unimorph(
      'convert',
      'page.svg',
      '--out',
      'react',
      '--target',
      'react',
      '--styling',
      'tailwind',
    )
    expect(readFileSync(join(folder, 'react/package.json'), 'utf8')).toMatch(
      /"react"[\s\S]*"tailwindcss"/,
    )
    expect(readFileSync(join(folder, 'react/index.html'), 'utf8')).toContain('lang="de"')
  })

  test('pictures come in several sizes, as WebP, and the project is formatted and builds', async () => {
    write('unimorph.config.json', '{ "target": "react", "extras": ["sizes"] }')
    await unimorph(
      'convert',
      resolve(__dirname, '../../demo/designs/tidewrack.json'),
      '--out',
      'out',
    )
    for (const px of [180, 360, 720]) {
      const file = readFileSync(join(folder, `out/src/assets/shore-${px}.webp`))
      expect(file.toString('latin1', 0, 4)).toBe('RIFF')
      expect(file.toString('latin1', 8, 12)).toBe('WEBP')
      // Of a simple file the width stands in the header of its frame (RFC 6386, 9.1).
      expect(file.readUInt16LE(26) & 0x3fff).toBe(px)
    }
    const { status, stderr } = await unimorph('build', 'out', '--site', 'site')
    expect([status, stderr]).toEqual([0, ''])
    expect(listAll(join(folder, 'site')).some((path) => path.endsWith('.webp'))).toBe(true)
  }, 60_000)

  test('elsewhere is named by --config, and its paths are seen from it', async () => {
    write('page.svg', DESIGN)
    mkdirSync(join(folder, 'house'))
    write('house/edits.json', '[{"kind":"remove","layer":"word"}]')
    write('house/settings.json', '{ "edits": "edits.json" }')
    const args = ['convert', 'page.svg', '--config', 'house/settings.json', '--out', 'out']
    expect((await unimorph(...args)).status).toBe(0)
    const page = listAll(join(folder, 'out')).find((path) => path.endsWith('.html'))!
    expect(readFileSync(join(folder, 'out', page), 'utf8')).not.toContain('Gull<')
  })

  test.each([
    ['is no JSON', '{', /unimorph\.config\.json: it is not valid JSON/],
    ['has a wrong value', '{"target":"cobol"}', /target: "cobol": invalid option.*html/],
    ['has an unknown field', '{"tarket":"vue"}', /unknown field tarket/],
  ])('that %s is refused, and nothing is written', async (_what, content, message) => {
    write('page.svg', DESIGN)
    write('unimorph.config.json', content)
    const { status, stderr } = await unimorph('convert', 'page.svg', '--out', 'out')
    expect(status).toBe(1)
    expect(stderr).toMatch(message)
    expect(existsSync(join(folder, 'out'))).toBe(false)
  })

  test('that is named but not there is told', async () => {
    write('page.svg', DESIGN)
    const { status, stderr } = await unimorph(
      ...['convert', 'page.svg', '--config', 'none.json', '--out', 'out'],
    )
    expect(status).toBe(1)
    expect(stderr).toContain('none.json: cannot be read, there is no such file or folder')
  })
})
