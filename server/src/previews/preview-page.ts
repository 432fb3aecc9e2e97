/**
 * The page generated code runs in. It gets what to show by message from the desk, has an origin of its own
 * (sandbox), and may load nothing: pictures, styles and scripts come inside the message.
 */
export const PREVIEW_PAGE = `<!doctype html>
<html lang="en">
  <head>
    <meta charset="utf-8" />
    <title>Preview</title>
  </head>
  <body>
    <script>
      addEventListener('message', function show(event) {
        if (event.source !== parent || !event.data || event.data.kind !== 'show') return
        removeEventListener('message', show)
        document.open()
        document.write(event.data.html)
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
