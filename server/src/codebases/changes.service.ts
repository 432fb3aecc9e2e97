import { Injectable } from '@nestjs/common'
import { Observable, share } from 'rxjs'

/** What was changed in a codebase, from its root; or why changes cannot be seen. */
export type Changes = { readonly paths: readonly string[] } | { readonly problem: string }

/** Watches the folders of codebases for as long as somebody listens; each once, however many do. */
@Injectable()
export class ChangesService {
  private readonly watched = new Map<string, Observable<Changes>>()

  of(folder: string): Observable<Changes> {
    const known = this.watched.get(folder)
    if (known) return known
    const changes = new Observable<Changes>((listener) => {
      const watching = import('@unimorph/codebase').then(({ watchCodebase }) => {
        const { stop, ready } = watchCodebase(
          folder,
          (paths) => listener.next({ paths }),
          (problem) => listener.next({ problem }),
        )
        // From now on nothing is missed: who listens may look once more.
        void ready.then(() => listener.next({ paths: [] }))
        return stop
      })
      watching.catch((error: unknown) => listener.error(error))
      return () => void watching.then((stop) => stop()).catch(() => undefined)
    }).pipe(share())
    this.watched.set(folder, changes)
    return changes
  }
}
