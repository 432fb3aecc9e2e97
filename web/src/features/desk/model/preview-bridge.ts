/**
 * Runs inside the preview and joins it to the desk: reports clicks, the page's height, and where the selected layers are.
 * Written as plain script text, since it is put into the previewed page as it is.
 */
export const BRIDGE = `(() => {
  const send = (message) => parent.postMessage(message, '*')
  let picks = true
  let marked = []
  const find = (key) => document.querySelectorAll('[data-layer="' + CSS.escape(key) + '"]')
  const boxOf = (element) => {
    const { left, top, width, height } = element.getBoundingClientRect()
    return { x: left + scrollX, y: top + scrollY, width, height }
  }
  const mark = () => send({ kind: 'marked', boxes: marked.flatMap((key) => [...find(key)].map(boxOf)) })
  const measure = () => { send({ kind: 'height', px: document.documentElement.scrollHeight }); mark() }
  addEventListener('click', (event) => {
    const target = event.target instanceof Element ? event.target : null
    if (picks) {
      event.preventDefault()
      event.stopPropagation()
      const layer = target && target.closest('[data-layer]')
      if (layer) send({ kind: 'select', layer: layer.getAttribute('data-layer') })
      return
    }
    const link = target && target.closest('a[href]')
    if (!link) return
    const href = link.getAttribute('href')
    if (href.startsWith('#')) return
    event.preventDefault()
    send({ kind: 'follow', href })
  }, true)
  addEventListener('submit', (event) => event.preventDefault(), true)
  // The page can reach nothing; answers of its forms are kept by the desk, when they are meant for it.
  window.fetch = async (address, init) => {
    const form = new RegExp('^http://[^/]+/api/projects/[^/]+/answers/([a-z0-9-]+)$').exec(String(address))
    if (!form) throw new TypeError('The preview reaches no address.')
    send({ kind: 'answers', form: form[1], values: JSON.parse(init.body) })
    return new Response('{}', { status: 201 })
  }
  const sendRoute = () => send({ kind: 'route', route: location.hash.slice(1) || '/' })
  addEventListener('hashchange', sendRoute)
  // A router changes the address without an event.
  const { pushState } = history
  history.pushState = (...args) => {
    pushState.apply(history, args)
    sendRoute()
  }
  addEventListener('message', ({ source, data }) => {
    if (source !== parent || !data) return
    if (data.kind === 'mark') { marked = data.layers; mark() }
    if (data.kind === 'picks') picks = data.picks
  })
  new ResizeObserver(measure).observe(document.documentElement)
  // What scrolls or moves inside the page moves its marks as well.
  for (const type of ['scroll', 'transitionend', 'animationend']) {
    addEventListener(type, () => marked.length > 0 && mark(), { capture: true, passive: true })
  }
  addEventListener('load', measure)
  // An app puts itself into its place a moment after its script has run.
  const place = document.querySelector('#root, #app, app-root')
  const show = () => { measure(); send({ kind: 'shown' }) }
  if (!place || place.firstElementChild) show()
  else {
    let isShown = false
    const observer = new MutationObserver(() => end())
    const end = () => {
      observer.disconnect()
      if (!isShown) show()
      isShown = true
    }
    observer.observe(place, { childList: true })
    setTimeout(end, 1000)
  }
})()`
