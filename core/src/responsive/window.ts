/** The narrowest window that is cared for, in px (WCAG 2.2, 1.4.10), and the widest. */
export const NARROWEST_PX = 320
export const WIDEST_PX = 2560

/** The widths at which a page changes when nothing else is said, in px: those the styling has names for. */
export const USUAL_BREAKPOINTS: readonly number[] = [640, 768, 1024, 1280, 1536]
