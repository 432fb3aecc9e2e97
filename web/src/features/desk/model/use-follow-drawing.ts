import { useEffect } from 'react'

type Followed = { load(): Promise<void>; clear(): void }

/**
 * Keeps what is known of the drawing, or of the screen of it that is shown, true to it: looked for anew when either
 * changes, forgotten when it is gone.
 */
export const useFollowDrawing = (
  { load, clear }: Followed,
  drawn: unknown,
  screen: unknown = true,
): void => {
  useEffect(() => {
    if (drawn && screen) void load()
    else clear()
  }, [drawn, screen, load, clear])
  useEffect(() => clear, [clear])
}
