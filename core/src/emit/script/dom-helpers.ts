/** Small functions for events of the browser, in TypeScript, as text: for targets whose events are the browser's own. */

const CLOSE_DIALOG = `/** For a click: closes the dialog the button stands in. */
export function closeDialog(event: Event) {
  const button = event.currentTarget as HTMLElement;
  button.closest("dialog")?.close();
}
`

/** The same in all targets. */
export const CLOSE_TOP_DIALOG = `/** Closes the dialog that lies on top. */
export function closeTopDialog() {
  const open = document.querySelectorAll<HTMLDialogElement>("dialog[open]");
  [...open].at(-1)?.close();
}
`

const MOVE_TAB = `/** For a key pressed in a list of tabs: arrow keys choose the one beside. */
export function moveTab(event: KeyboardEvent) {
  const step = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
  const list = event.currentTarget as HTMLElement;
  const tabs = [...list.querySelectorAll<HTMLElement>("[role=tab]")];
  const at = tabs.findIndex((tab) => tab === event.target);
  if (step === undefined || at < 0) return;
  const next = tabs[(at + step + tabs.length) % tabs.length];
  next?.focus();
  next?.click();
}
`

const COUNT_FIELD = `/** For a click: counts the number that the button controls by its \`data-step\`. */
export function countField(event: Event) {
  const button = event.currentTarget as HTMLElement;
  const id = button.getAttribute("aria-controls") ?? "";
  const field = document.getElementById(id);
  if (!(field instanceof HTMLInputElement)) return;
  field.stepUp(Number(button.dataset["step"]));
  field.dispatchEvent(new Event("input", { bubbles: true }));
}
`

const ENTER_MENU = `/** For the toggling of a menu: the first item is focused when it is shown. */
export function enterMenu(event: Event) {
  if (!(event instanceof ToggleEvent) || event.newState !== "open") return;
  const menu = event.currentTarget as HTMLElement;
  menu.querySelector<HTMLElement>("[role=menuitem]")?.focus();
}
`

const LEAVE_MENU = `/** For a click in a menu: what is chosen puts it away. */
export function leaveMenu(event: Event) {
  const item = (event.target as Element).closest("[role=menuitem]");
  if (item) (event.currentTarget as HTMLElement).hidePopover();
}
`

const MOVE_IN_MENU = `/** For a key pressed in a menu: arrow keys move from one item to the next. */
export function moveInMenu(event: KeyboardEvent) {
  const menu = event.currentTarget as HTMLElement;
  const items = [...menu.querySelectorAll<HTMLElement>("[role=menuitem]")];
  const at = items.findIndex((item) => item === event.target);
  const moves = { ArrowDown: at + 1, ArrowUp: at - 1, Home: 0, End: -1 };
  const next = moves[event.key as keyof typeof moves];
  if (next === undefined) return;
  event.preventDefault();
  items.at(next % items.length)?.focus();
}
`

const SCROLL_TO_PART = `/** For a click on a link to a part of the page: the address stays that of the page. */
export function scrollToPart(event: Event) {
  event.preventDefault();
  const id = (event.currentTarget as HTMLAnchorElement).hash.slice(1);
  document.getElementById(id)?.scrollIntoView({ behavior: "smooth" });
}
`

/** These functions, by their names. */
export const DOM_HELPERS = {
  closeDialog: CLOSE_DIALOG,
  closeTopDialog: CLOSE_TOP_DIALOG,
  countField: COUNT_FIELD,
  enterMenu: ENTER_MENU,
  leaveMenu: LEAVE_MENU,
  moveInMenu: MOVE_IN_MENU,
  moveTab: MOVE_TAB,
  scrollToPart: SCROLL_TO_PART,
} as const
