import { useEffect, useState } from 'react'

/** An address for some text as a file of the page; given back when it is no longer shown. */
export const useObjectAddress = (text: string, type: string): string | undefined => {
  const [address, setAddress] = useState<string>()
  useEffect(() => {
    const created = URL.createObjectURL(new Blob([text], { type }))
    setAddress(created)
    return () => URL.revokeObjectURL(created)
  }, [text, type])
  return address
}
