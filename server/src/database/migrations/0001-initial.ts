import type { MigrationInterface, QueryRunner } from 'typeorm'

export class Initial1763856000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`CREATE TABLE "projects" (
      "id" varchar PRIMARY KEY NOT NULL, "name" text NOT NULL, "settings" text NOT NULL,
      "createdAt" integer NOT NULL, "updatedAt" integer NOT NULL, "removedAt" integer)`)
    await runner.query(`CREATE TABLE "editions" (
      "id" varchar PRIMARY KEY NOT NULL, "projectId" varchar NOT NULL, "number" integer NOT NULL,
      "document" text NOT NULL, "notes" text NOT NULL, "screenCount" integer NOT NULL,
      "createdAt" integer NOT NULL,
      CONSTRAINT "editions_number" UNIQUE ("projectId", "number"),
      CONSTRAINT "editions_project" FOREIGN KEY ("projectId") REFERENCES "projects" ("id") ON DELETE CASCADE ON UPDATE NO ACTION)`)
    await runner.query(`CREATE TABLE "edits" (
      "id" integer PRIMARY KEY AUTOINCREMENT NOT NULL, "projectId" varchar NOT NULL,
      "document" text NOT NULL, "createdAt" integer NOT NULL,
      CONSTRAINT "edits_project" FOREIGN KEY ("projectId") REFERENCES "projects" ("id") ON DELETE CASCADE ON UPDATE NO ACTION)`)
    await runner.query(`CREATE TABLE "assets" (
      "hash" text PRIMARY KEY NOT NULL, "mime" text NOT NULL, "bytes" blob NOT NULL)`)
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of ['assets', 'edits', 'editions', 'projects']) {
      await runner.query(`DROP TABLE "${table}"`)
    }
  }
}
