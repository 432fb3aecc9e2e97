/** Version 2 added masks, turned gradients, tile sizes and facts about pictures, all of them optional. */
export const migrateFrom1 = (
  document: Readonly<Record<string, unknown>>,
): Readonly<Record<string, unknown>> => ({ ...document, version: 2 })
