import { api, type Bundle, type PreviewFile } from '../../../shared/lib/api'
import { bundleOnce } from './bundle'

const FILES: readonly PreviewFile[] = [{ path: 'src/main.ts', encoding: 'text', content: '' }]
const MADE: Bundle = { script: 'made', runtimes: [] }

let asked: jest.SpyInstance
beforeEach(() => {
  asked = jest.spyOn(api, 'bundle').mockResolvedValue(MADE)
})
afterEach(() => jest.restoreAllMocks())

const filesOf = () => FILES

test('what is bundled is bundled once, whoever asks', async () => {
  const source = {}
  const first = bundleOnce(source, filesOf, 'project')
  expect(bundleOnce(source, filesOf, 'project')).toBe(first)
  expect(await first).toEqual({ bundle: MADE, scripts: [] })
  expect(asked).toHaveBeenCalledTimes(1)
  expect(asked).toHaveBeenCalledWith(FILES, 'project')
})

test('other sources, and other files of the same, are bundled by themselves', () => {
  const source = {}
  void bundleOnce(source, filesOf, undefined)
  void bundleOnce({}, filesOf, undefined)
  void bundleOnce(source, () => FILES, undefined)
  expect(asked).toHaveBeenCalledTimes(3)
})

test('nothing is asked for where there is nothing to bundle', () => {
  expect(bundleOnce({}, () => undefined, undefined)).toBeUndefined()
  expect(asked).not.toHaveBeenCalled()
})

test('what the server could not do is said, and asked again; what does not build is not', async () => {
  const source = {}
  asked.mockRejectedValueOnce(new Error('The server is away.'))
  expect(await bundleOnce(source, filesOf, undefined)).toEqual({
    bundle: { errors: ['The server is away.'] },
    scripts: [],
  })
  asked.mockResolvedValueOnce({ errors: ['src/main.ts:1: no'] })
  const failed = bundleOnce(source, filesOf, undefined)
  expect((await failed)?.bundle).toEqual({ errors: ['src/main.ts:1: no'] })
  expect(bundleOnce(source, filesOf, undefined)).toBe(failed)
  expect(asked).toHaveBeenCalledTimes(2)
})
