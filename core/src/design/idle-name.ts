/** What design programs call a layer until somebody names it: a kind, perhaps with a number. */
const IDLE =
  /^(rectangle|rect|ellipse|oval|circle|group|frame|line|path|shape|vector|polygon|star|image|picture|bitmap|text|layer|union|subtract|intersect|exclude|container|component|instance|row|column|grid|overlay|cell|box|list|t|untitled|\W*)[\s_-]*\d*$/i

/** Whether the name of a layer says nothing about it. */
export const isIdleName = (name: string): boolean => IDLE.test(name.trim())
