const ALLOWED = /^(https?:|mailto:|tel:|\/(?!\/)|\.{1,2}\/|#|\?)/i

/** The address if it may stand in a page: web, mail and phone addresses and paths, never a script. */
export const findSafeAddress = (url: string): string | undefined => {
  // Browsers ignore control characters and blanks inside a scheme, so they are taken out before looking.
  const clean = url.replace(/[\u0000-\u0020\u007f-\u009f]/g, '')
  if (ALLOWED.test(clean)) return clean
  return /^[a-z0-9.-]+\.[a-z]{2,}(\/|$)/i.test(clean) ? `https://${clean}` : undefined
}
