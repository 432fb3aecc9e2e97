import { useEffect, useState } from 'react'

type Shared = { readonly address: string; users: number }

/** By the text: what is shown in several places at once is one file of the page. */
const shared = new Map<string, Shared>()

const take = (text: string, type: string): string => {
  const known = shared.get(text)
  if (known) {
    known.users++
    return known.address
  }
  const address = URL.createObjectURL(new Blob([text], { type }))
  shared.set(text, { address, users: 1 })
  return address
}

const giveBack = (text: string): void => {
  const known = shared.get(text)!
  known.users--
  if (known.users > 0) return
  URL.revokeObjectURL(known.address)
  shared.delete(text)
}

/** An address for some text as a file of the page; given back when it is no longer shown. */
export const useObjectAddress = (text: string, type: string): string | undefined => {
  const [address, setAddress] = useState<string>()
  useEffect(() => {
    setAddress(take(text, type))
    return () => giveBack(text)
  }, [text, type])
  return address
}
