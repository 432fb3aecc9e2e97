import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { EmittedFile } from '@unimorph/core'
import { startCommands } from '../testing/start-commands.js'

const DEMO = join(__dirname, '../../../demo/designs/night-ferry-kiosk.svg')

const commands = startCommands()
afterAll(commands.stop)

let folder: string
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'unimorph-check-'))
})
afterEach(() => rmSync(folder, { recursive: true, force: true }))

test.each(['react', 'vue', 'angular', 'flutter', 'html'])(
  '%s: --check compiles what was delivered',
  async (target) => {
    const args = ['convert', DEMO, '--target', target, '--out', 'site', '--check', '--json']
    const { status, stdout } = await commands.run(args, folder)
    expect(status).toBe(0)
    expect(JSON.parse(stdout)).toMatchObject({ ok: true })
  },
)

type Check = typeof import('./index.js')
const load = async (): Promise<Check> =>
  (await import('../../dist/check/index.js' as string)) as Check

const file = (path: string, text: string, spans: EmittedFile['spans'] = []): EmittedFile => ({
  path,
  content: { kind: 'text', text },
  spans,
})

test('a type that is wrong, with its line and its layer', async () => {
  const { compileDelivered } = await load()
  const settings = {
    compilerOptions: {
      strict: true,
      module: 'esnext',
      moduleResolution: 'bundler',
      jsx: 'react-jsx',
    },
  }
  const code = 'export const App = () =>\n  <p title={1}>Tide</p>;\n'
  const faults = await compileDelivered(
    [
      file('tsconfig.json', JSON.stringify(settings)),
      file('src/App.tsx', code, [{ layer: 'tide', start: 25, end: 48 }]),
    ],
    'react',
  )
  expect(faults).toMatchObject([{ path: 'src/App.tsx', line: 2, layer: 'tide' }])
  expect(faults[0]!.what).toContain("'number' is not assignable to type 'string'")
})

test('a widget that does not exist', async () => {
  const { compileDelivered } = await load()
  const code = `import 'package:flutter/material.dart';
class Tide extends StatelessWidget {
  Widget build(BuildContext context) {
    return Txt('Low water');
  }
}
`
  const faults = await compileDelivered([file('lib/tide.dart', code)], 'flutter')
  expect(faults).toMatchObject([{ path: 'lib/tide.dart', what: 'Txt is not known' }])
})
