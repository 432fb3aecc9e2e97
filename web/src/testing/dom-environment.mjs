// The browser of component tests: jsdom, with the few globals it lacks and the interface uses.
import { TestEnvironment } from 'jest-environment-jsdom'

class Quiet {
  observe() {}
  unobserve() {}
  disconnect() {}
}

export default class DomEnvironment extends TestEnvironment {
  async setup() {
    await super.setup()
    const { TextDecoder, TextEncoder, Uint8Array } = globalThis
    Object.assign(this.global, { TextDecoder, TextEncoder, Uint8Array, ResizeObserver: Quiet })
  }
}
