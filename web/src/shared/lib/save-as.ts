/** Hands a file to the person: the browser saves it. */
export const saveAs = (content: string | Uint8Array, name: string, type: string): void => {
  const address = URL.createObjectURL(new Blob([content as BlobPart], { type }))
  const link = document.createElement('a')
  link.href = address
  link.download = name
  link.click()
  URL.revokeObjectURL(address)
}
