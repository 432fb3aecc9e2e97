import type { MigrationInterface, QueryRunner } from 'typeorm'

export class Fonts1763942400000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE "fonts" (
      "id" text PRIMARY KEY NOT NULL, "fileName" text NOT NULL, "format" text NOT NULL,
      "face" text NOT NULL, "bytes" blob NOT NULL, "createdAt" integer NOT NULL)`)
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE "fonts"')
  }
}
