import { createStyleCompiler } from './style-sheets'

const counting = () => {
  const asked: string[] = []
  const compile = createStyleCompiler('library', async (source, classes, library) => {
    asked.push(source)
    if (source === 'broken') throw new Error('no such rule')
    return `${library}: ${source} ${classes.join()}`
  })
  return { asked, compile }
}

test('a sheet of the same source and classes is compiled once', async () => {
  const { asked, compile } = counting()
  const first = await compile({ source: 'a', classes: ['p-1', 'm-1'] })
  expect(await compile({ source: 'a', classes: ['p-1', 'm-1'] })).toBe(first)
  expect(first).toBe('library: a p-1,m-1')
  expect(asked).toEqual(['a'])
})

test('another class, or another source, gives another sheet', async () => {
  const { asked, compile } = counting()
  expect(await compile({ source: 'a', classes: ['p-1'] })).toBe('library: a p-1')
  expect(await compile({ source: 'a', classes: ['p-2'] })).toBe('library: a p-2')
  expect(await compile({ source: 'b', classes: ['p-1'] })).toBe('library: b p-1')
  expect(asked).toEqual(['a', 'a', 'b'])
})

test('what failed is compiled again, and what was not used for long is forgotten', async () => {
  const { asked, compile } = counting()
  await expect(compile({ source: 'broken', classes: [] })).rejects.toThrow('no such rule')
  await expect(compile({ source: 'broken', classes: [] })).rejects.toThrow('no such rule')
  for (const source of ['a', 'b', 'c', 'd', 'e', 'f']) await compile({ source, classes: [] })
  await compile({ source: 'a', classes: [] })
  await compile({ source: 'g', classes: [] })
  await compile({ source: 'a', classes: [] })
  await compile({ source: 'b', classes: [] })
  expect(asked).toEqual(['broken', 'broken', 'a', 'b', 'c', 'd', 'e', 'f', 'g', 'b'])
})
