import { ENTRANCE_PARTS, withoutPart, withPart } from './entrance-parts'

const partOf = (label: string) => ENTRANCE_PARTS.find((part) => part.label === label)!

test.each(ENTRANCE_PARTS.map((part) => [part.label, part] as const))(
  '%s can be switched on and off again',
  (_, part) => {
    const entrance = withPart(undefined, part, part.usual)
    expect(ENTRANCE_PARTS.filter(({ read }) => read(entrance) !== undefined)).toEqual([part])
    expect(part.read(entrance)).toBe(part.usual)
    expect(withoutPart(entrance, part)).toBeUndefined()
  },
)

test('parts are combined, and the timing stays', () => {
  const slow = { ...withPart(undefined, partOf('Opacity'), 0), durationMs: 900 }
  const both = withPart(slow, partOf('Move from below'), 24)
  expect(both).toMatchObject({ opacity: 0, y: 24, durationMs: 900 })
  expect(withoutPart(both, partOf('Opacity'))).toMatchObject({ opacity: 1, y: 24, durationMs: 900 })
})

test('one side takes the place of the other', () => {
  const left = withPart(undefined, partOf('Move from left'), 16)
  expect(left.x).toBe(-16)
  const right = withPart(left, partOf('Move from right'), 16)
  expect(partOf('Move from left').read(right)).toBeUndefined()
  expect(partOf('Move from right').read(right)).toBe(16)
})
