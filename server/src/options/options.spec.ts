import { OptionsError, readOptions } from './options'

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
