import { Injectable } from '@nestjs/common'
import { DataSource, type EntityManager } from 'typeorm'
import type { Connection } from './connection'
import { storageCode } from './storage-error'

/** What of the driver is used here: it holds one connection, and one runner that counts how deep transactions are. */
type Driver = {
  databaseConnection: Connection
  queryRunner?: unknown
  connect(): Promise<void>
  disconnect(): Promise<void>
}

/** After these the connection itself may be broken, and not only what was asked of it. */
const BREAKS = /^SQLITE_(IOERR|CORRUPT|NOTADB|CANTOPEN|NOMEM)/

/** A commit that left its transaction open: nothing of it is on the disk. */
class NotCommitted extends Error {}

/**
 * The only place that changes the database. Writes run one after the other, each in a transaction of its own: on the one
 * connection there is, a second one would otherwise become a part of the first, and be lost with it.
 */
@Injectable()
export class WritesService {
  private last: Promise<unknown> = Promise.resolve()

  constructor(private readonly source: DataSource) {}

  /** Runs everything in `work`, or nothing of it. When it is done, it is on the disk. */
  run<T>(work: (manager: EntityManager) => Promise<T>): Promise<T> {
    const done = this.last.then(() => this.transact(work))
    this.last = done.catch(() => undefined)
    return done
  }

  private get driver(): Driver {
    return this.source.driver as unknown as Driver
  }

  private async transact<T>(work: (manager: EntityManager) => Promise<T>): Promise<T> {
    try {
      const result = await this.source.transaction(work)
      if (this.driver.databaseConnection.inTransaction)
        throw new NotCommitted('A transaction was still open after its commit.')
      return result
    } catch (error) {
      await this.clean(error)
      throw error
    }
  }

  /**
   * After a failure no transaction is open, whoever has ended it: SQLite rolls some back by itself, and the runner would
   * then go on counting one that is not there.
   */
  private async clean(error: unknown): Promise<void> {
    const { driver } = this
    const isInMemory = driver.databaseConnection.memory
    let isClean = true
    try {
      if (driver.databaseConnection.inTransaction) driver.databaseConnection.exec('ROLLBACK')
    } catch {
      isClean = false
    }
    delete driver.queryRunner
    if (isInMemory || (isClean && !BREAKS.test(storageCode(error) ?? ''))) return
    await driver.disconnect()
    await driver.connect()
  }
}
