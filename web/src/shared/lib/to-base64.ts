/** The bytes of a file as base64 (RFC 4648). */
export const toBase64 = (file: Blob): Promise<string> =>
  new Promise((done, fail) => {
    const reader = new FileReader()
    reader.onload = () => done(String(reader.result).replace(/^data:[^,]*,/, ''))
    reader.onerror = () =>
      fail(new Error(`${file instanceof File ? file.name : 'The picture'} cannot be read.`))
    reader.readAsDataURL(file)
  })
