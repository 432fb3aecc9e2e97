/** What every layer has, as it is when nothing is said: for layers the program makes. */
export const PLAIN_LAYER = {
  visible: true,
  opacity: 1,
  blend: 'normal' as const,
  rotationDeg: 0,
  effects: [],
  sizing: { width: 'fixed' as const, height: 'fixed' as const },
  flow: 'in' as const,
}
