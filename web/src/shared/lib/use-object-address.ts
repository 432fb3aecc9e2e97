import { useEffect, useState } from 'react'

type Shared = { readonly address: string; users: number }

/** By the drawing: what is shown in several places at once is one file of the page. */
const shared = new Map<string, Shared>()

const take = (svg: string): string => {
  const known = shared.get(svg)
  if (known) {
    known.users++
    return known.address
  }
  const address = URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' }))
  shared.set(svg, { address, users: 1 })
  return address
}

const giveBack = (svg: string): void => {
  const known = shared.get(svg)!
  known.users--
  if (known.users > 0) return
  URL.revokeObjectURL(known.address)
  shared.delete(svg)
}

/** An address for a drawing as a file of the page; given back when it is no longer shown. */
export const useObjectAddress = (svg: string): string | undefined => {
  const [address, setAddress] = useState<string>()
  useEffect(() => {
    setAddress(take(svg))
    return () => giveBack(svg)
  }, [svg])
  return address
}
