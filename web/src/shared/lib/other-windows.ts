/** What a window tells the others of this browser: that something of a project was changed on the server, or that there is a new one. */
export type Told = { readonly project: string | undefined; readonly path: string }

// Not where there is no browser. A channel does not hear itself.
const channel =
  typeof window === 'undefined' || !('BroadcastChannel' in window)
    ? undefined
    : new BroadcastChannel('unimorph')

const CHANGED = /^\/projects(?:\/([0-9a-f-]+)(?:\/(?!answers)(.*))?)?$/

/** Tells the other windows what a request has changed. `path`: of the request, from the API's root. */
export const tellOthers = (path: string): void => {
  const found = CHANGED.exec(path)
  if (!found) return
  const [, project, rest = ''] = found
  channel?.postMessage({ project, path: rest } satisfies Told)
}

/** Hears what other windows change; returns what stops it. */
export const hearOthers = (onTold: (told: Told) => void): (() => void) => {
  const listen = ({ data }: MessageEvent<Told>): void => onTold(data)
  channel?.addEventListener('message', listen)
  return () => channel?.removeEventListener('message', listen)
}
