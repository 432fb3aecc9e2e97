/** Opens the machine's file chooser for design files and pictures; resolves when something was chosen. */
export const pickFiles = (): Promise<File[]> =>
  new Promise((resolve) => {
    const input = document.createElement('input')
    input.type = 'file'
    input.multiple = true
    input.accept =
      '.svg,.json,.zip,.woff2,.woff,.ttf,.otf,.png,.jpg,.jpeg,.gif,.webp,.avif,image/svg+xml,application/json'
    input.onchange = () => resolve([...(input.files ?? [])])
    input.click()
  })
