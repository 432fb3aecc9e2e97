import type { MigrationInterface, QueryRunner } from 'typeorm'

export class Answers1764028800000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE "answers" (
      "id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "projectId" varchar NOT NULL, "form" text NOT NULL,
      "document" text NOT NULL, "createdAt" integer NOT NULL,
      CONSTRAINT "answers_project" FOREIGN KEY ("projectId") REFERENCES "projects" ("id") ON DELETE CASCADE)`)
    await runner.query('CREATE INDEX "answers_of_form" ON "answers" ("projectId", "form")')
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE "answers"')
  }
}
