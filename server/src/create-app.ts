import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ValidationPipe } from '@nestjs/common'
import { NestFactory } from '@nestjs/core'
import type { NestExpressApplication } from '@nestjs/platform-express'
import { DocumentBuilder, SwaggerModule } from '@nestjs/swagger'
import helmet from 'helmet'
import { AppModule } from './app.module'
import type { CodebaseFolders } from './codebases/folders'
import { apiPaths } from './http/api-paths'
import { bodyDepth } from './http/body-depth'
import { bodyErrors } from './http/body-errors'
import { JobsService } from './jobs/jobs.service'
import { ErrorsFilter } from './http/errors.filter'
import { loopbackCors } from './http/loopback-cors'
import { localOnly } from './http/local-only'
import { ownOriginOnly } from './http/own-origin-only'

const BODY_LIMIT = '80mb'

const security = helmet({
  contentSecurityPolicy: {
    useDefaults: false,
    directives: {
      defaultSrc: ["'self'"],
      // Pictures are made smaller by WebAssembly.
      scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
      // Drawings of designs carry their pictures inside and style attributes for blending.
      imgSrc: ["'self'", 'data:', 'blob:'],
      styleSrc: ["'self'", "'unsafe-inline'"],
      fontSrc: ["'self'", 'data:'],
      frameSrc: ["'self'"],
      workerSrc: ["'self'"],
      objectSrc: ["'none'"],
      baseUri: ["'none'"],
      frameAncestors: ["'self'"],
    },
  },
  // The app is served over plain http on this machine.
  strictTransportSecurity: false,
  crossOriginOpenerPolicy: false,
  originAgentCluster: false,
})

/**
 * Builds the server on a database file. `host` is the name it may be called by besides localhost; `codebases` are the
 * folders it may read codebases in.
 */
export const createApp = async (
  database: string,
  host = '127.0.0.1',
  codebases: CodebaseFolders = { allowed: [], uploads: join(tmpdir(), 'unimorph-codebases') },
  jobs = new JobsService(),
): Promise<NestExpressApplication> => {
  const app = await NestFactory.create<NestExpressApplication>(
    AppModule.on(database, codebases, jobs),
    {
      logger: ['error', 'warn'],
      abortOnError: false,
      // A page that listens for changes would keep the server from stopping.
      forceCloseConnections: true,
    },
  )
  app.use(localOnly(host))
  app.use(security)
  app.use(apiPaths)
  app.use(loopbackCors)
  app.use(ownOriginOnly)
  app.useBodyParser('json', { limit: BODY_LIMIT })
  app.use(bodyErrors)
  app.use(bodyDepth)
  app.useGlobalPipes(
    new ValidationPipe({ whitelist: true, forbidNonWhitelisted: true, transform: true }),
  )
  app.useGlobalFilters(new ErrorsFilter())
  app.enableShutdownHooks()
  const description = new DocumentBuilder()
    .setTitle('Unimorph')
    .setDescription('Projects, editions, edits and settings of the Unimorph server.')
    .setVersion('0.1')
    .build()
  SwaggerModule.setup('api/docs', app, () => SwaggerModule.createDocument(app, description))
  return app
}
