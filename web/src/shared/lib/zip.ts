import { strToU8, zipSync } from 'fflate'

/** Files in an archive. A fixed date: the same files give the same bytes. */
export const zipFiles = (
  files: readonly { readonly name: string; readonly content: string | Uint8Array }[],
): Uint8Array => {
  const entries = files.map(({ name, content }): [string, Uint8Array] => [
    name,
    typeof content === 'string' ? strToU8(content) : content,
  ])
  return zipSync(Object.fromEntries(entries), { mtime: new Date(2000, 0, 1) })
}
