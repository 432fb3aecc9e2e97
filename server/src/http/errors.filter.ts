import { randomUUID } from 'node:crypto'
import {
  Catch,
  HttpException,
  Logger,
  type ArgumentsHost,
  type ExceptionFilter,
} from '@nestjs/common'
import type { Request, Response } from 'express'
import { storageProblem } from '../database/storage-error'

/** Expected problems go out as they are; anything else as a 500 with an id that is found in the log. */
@Catch()
export class ErrorsFilter implements ExceptionFilter {
  private readonly log = new Logger('Errors')

  catch(error: unknown, host: ArgumentsHost): void {
    // A route that answers with another type has said so by now.
    const response = host.switchToHttp().getResponse<Response>().type('json')
    if (error instanceof HttpException) {
      const body = error.getResponse()
      response.status(error.getStatus()).json(typeof body === 'string' ? { message: body } : body)
      return
    }
    const requestId = randomUUID()
    this.log.error(
      `${requestId} ${error instanceof Error ? (error.stack ?? error.message) : String(error)}`,
    )
    const problem = storageProblem(error)
    if (problem) {
      const isRead = host.switchToHttp().getRequest<Request>().method === 'GET'
      const message = isRead ? problem.reason : `${problem.reason} Nothing was saved.`
      response.status(problem.status).json({ message, requestId })
      return
    }
    response.status(500).json({
      message: `Something went wrong on the server; nothing was changed. The log has it as ${requestId}.`,
      requestId,
    })
  }
}
