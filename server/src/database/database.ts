import type { DataSourceOptions } from 'typeorm'
import type { Connection } from './connection'
import { AnswerEntity } from '../answers/entities/answer.entity'
import { AssetEntity } from '../projects/entities/asset.entity'
import { EditEntity } from '../projects/entities/edit.entity'
import { EditionEntity } from '../projects/entities/edition.entity'
import { ProjectEntity } from '../projects/entities/project.entity'
import { FontEntity } from '../fonts/entities/font.entity'
import { Initial1763856000000 } from './migrations/0001-initial'
import { Fonts1763942400000 } from './migrations/0002-fonts'
import { CodebaseEntity } from '../codebases/entities/codebase.entity'
import { Answers1764028800000 } from './migrations/0003-answers'
import { Codebases1764374400000 } from './migrations/0004-codebases'

/** All changes of the database's shape, the oldest first. */
export const MIGRATIONS = [
  Initial1763856000000,
  Fonts1763942400000,
  Answers1764028800000,
  Codebases1764374400000,
]

/** So long a write waits for another program that uses the database, in ms: everything else waits with it. */
const BUSY_MS = 1000

/** The database in a file (or in memory, as `:memory:`), brought to its newest shape when it is opened. */
export const createDatabaseOptions = (file: string): DataSourceOptions => ({
  type: 'better-sqlite3',
  database: file,
  entities: [
    AnswerEntity,
    AssetEntity,
    CodebaseEntity,
    EditEntity,
    EditionEntity,
    FontEntity,
    ProjectEntity,
  ],
  migrations: MIGRATIONS,
  migrationsRun: true,
  synchronize: false,
  enableWAL: true,
  timeout: BUSY_MS,
  // FULL: what was acknowledged is on the disk, even if the power fails the moment after.
  prepareDatabase: (database: Pick<Connection, 'pragma'>) => {
    database.pragma('synchronous = FULL')
    database.pragma('foreign_keys = ON')
  },
})
