import type { MigrationInterface, QueryRunner } from 'typeorm'

export class Codebases1764374400000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE "codebases" (
      "projectId" varchar PRIMARY KEY NOT NULL, "folder" text NOT NULL,
      CONSTRAINT "codebases_project" FOREIGN KEY ("projectId") REFERENCES "projects" ("id") ON DELETE CASCADE)`)
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP TABLE "codebases"')
  }
}
