/**
 * The page generated code runs in. It gets what to show by message from the desk, has an origin of its own
 * (sandbox), and may load nothing: pictures, styles and scripts come inside the message. What will be shown can be
 * prepared for: scripts of its framework are run before.
 */
export const PREVIEW_PAGE = `<!doctype html>
<html lang="en">
  <head>
    <meta charset="utf-8" />
    <title>Preview</title>
  </head>
  <body>
    <script>
      const run = (text) => {
        const script = document.createElement('script')
        script.textContent = text
        document.head.append(script)
      }
      addEventListener('message', function hear({ source, data }) {
        if (source !== parent || !data) return
        if (data.kind === 'prepare') data.scripts.forEach(run)
        if (data.kind !== 'show') return
        removeEventListener('message', hear)
        document.open()
        document.write(data.html)
        document.close()
      })
      parent.postMessage({ kind: 'ready' }, '*')
    </script>
  </body>
</html>
`

export const PREVIEW_POLICY = [
  // Forms send nothing by themselves (`form-action`), but only then hear that somebody wants to.
  'sandbox allow-scripts allow-forms',
  "default-src 'none'",
  "script-src 'unsafe-inline'",
  "style-src 'unsafe-inline'",
  'img-src data:',
  'font-src data:',
  "form-action 'none'",
  "base-uri 'none'",
].join('; ')
