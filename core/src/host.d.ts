// The few things of the WHATWG Encoding standard that every host of `core` has; the DOM types are not loaded.
declare class TextDecoder {
  constructor(label?: string, options?: { fatal?: boolean })
  decode(bytes: Uint8Array): string
}
declare class TextEncoder {
  encode(text: string): Uint8Array
}
