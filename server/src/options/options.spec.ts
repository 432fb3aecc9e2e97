import { OptionsError, readCommand, readOptions } from './options'

test('has defaults that keep to this machine', () => {
  expect(readOptions([], '/data')).toEqual({
    port: 4780,
    host: '127.0.0.1',
    data: '/data',
    demo: true,
    codebases: [],
  })
})

test('reads what is given', () => {
  expect(readOptions(['--port', '0', '--data', '/x', '--no-demo'], '/data')).toMatchObject({
    port: 0,
    data: '/x',
    demo: false,
  })
})

test.each([['--port', 'abc'], ['--port', '70000'], ['--port', '1.5'], ['--prot', '1'], ['stray']])(
  'refuses %s %s',
  (...args) => {
    expect(() => readOptions(args, '/data')).toThrow(OptionsError)
  },
)

test('several folders of codebases may be allowed', () => {
  const { codebases } = readOptions(['--codebase', '/a', '--codebase', '/b'], '/data')
  expect(codebases).toEqual(['/a', '/b'])
})

test('a backup is written or restored by its name; everything else starts a server', () => {
  expect(readCommand(['backup', '/b.sqlite'], '/data')).toEqual({
    kind: 'backup',
    file: '/b.sqlite',
    data: '/data',
  })
  expect(readCommand(['restore', '/b.sqlite', '--data', '/x'], '/data')).toMatchObject({
    kind: 'restore',
    data: '/x',
  })
  expect(readCommand(['--port', '0'], '/data')).toMatchObject({
    kind: 'serve',
    options: { port: 0 },
  })
})

test.each([['backup'], ['restore', 'a', 'b'], ['backup', 'a', '--port', '1']])(
  'refuses %s %s %s',
  (...args) => {
    expect(() => readCommand(args, '/data')).toThrow(`Write ${args[0]!} FILE [--data DIR].`)
  },
)
