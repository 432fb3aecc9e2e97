import { Injectable } from '@nestjs/common'
import { badRequest, notFound } from '../http/problem'
import { AnswersRepository } from './answers.repository'
import { toCsv } from './to-csv'

export type Answer = {
  readonly id: number
  readonly at: number
  readonly values: Readonly<Record<string, string>>
}

const MOST_FIELDS = 200
const MOST_CHARACTERS = 10_000
/** It is for trying out: more than this is no trying out any more. */
const MOST_ANSWERS = 10_000

/** Keeps what is filled into forms of the running result: a stand-in for the service a delivered form is sent to. */
@Injectable()
export class AnswersService {
  constructor(private readonly repository: AnswersRepository) {}

  async add(projectId: string, form: string, body: unknown): Promise<Answer> {
    await this.find(projectId)
    const values = this.check(body)
    if ((await this.repository.count(projectId, form)) >= MOST_ANSWERS) {
      throw badRequest(`There are ${MOST_ANSWERS} answers already. Take them away first.`)
    }
    const document = JSON.stringify(values)
    const saved = await this.repository.save({ projectId, form, document, createdAt: Date.now() })
    return { id: saved.id, at: saved.createdAt, values }
  }

  async list(projectId: string, form: string): Promise<Answer[]> {
    await this.find(projectId)
    const answers = await this.repository.list(projectId, form)
    return answers.map(({ id, createdAt, document }) => ({
      id,
      at: createdAt,
      values: JSON.parse(document) as Record<string, string>,
    }))
  }

  async csv(projectId: string, form: string): Promise<string> {
    return toCsv(await this.list(projectId, form))
  }

  async clear(projectId: string, form: string): Promise<void> {
    await this.find(projectId)
    await this.repository.clear(projectId, form)
  }

  private async find(projectId: string): Promise<void> {
    if (!(await this.repository.hasProject(projectId))) throw notFound('project')
  }

  /** Answers are texts by the names of their fields, as forms send them. */
  private check(body: unknown): Record<string, string> {
    if (typeof body !== 'object' || body === null || Array.isArray(body)) {
      throw badRequest('Answers are an object of texts by the names of their fields.')
    }
    const entries = Object.entries(body as Record<string, unknown>)
    if (entries.length > MOST_FIELDS) throw badRequest(`A form has at most ${MOST_FIELDS} fields.`)
    for (const [name, value] of entries) {
      if (typeof value !== 'string' || value.length > MOST_CHARACTERS || name.length > 200) {
        throw badRequest(
          `"${name.slice(0, 40)}": an answer is a text of at most ${MOST_CHARACTERS} characters.`,
        )
      }
    }
    return Object.fromEntries(entries) as Record<string, string>
  }
}
