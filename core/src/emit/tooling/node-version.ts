/** The Node that delivered projects are tested with, and those that their tools run on. */
export const NODE_VERSION = '20'
export const NODE_ENGINES = { node: '^20.19.0 || >=22.12.0' }
