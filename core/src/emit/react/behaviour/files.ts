import { CLOSE_TOP_DIALOG } from '../../script/dom-helpers.js'
import { openingTag } from '../../script/opening-tag.js'
import { FORM_CHECKS, POST_ANSWERS } from '../../script/shared-helpers.js'
import type { Helper } from '../../project/component-code.js'
import { textFile, type EmittedFile } from '../../shared/emitted-file.js'

const ENTER_IN_VIEW = `/** For \`ref\`: what comes in when it is scrolled to waits until then. */
export function enterInView(element: HTMLElement | SVGElement | null) {
  if (!element) return;
  const watcher = new IntersectionObserver(([entry]) => {
    if (!entry?.isIntersecting) return;
    watcher.disconnect();
    element.dataset["enter"] = "";
  });
  watcher.observe(element);
  return () => watcher.disconnect();
}
`

const CLOSE_DIALOG = `import type { MouseEvent } from "react";

/** For \`onClick\`: closes the dialog the button stands in. */
export function closeDialog(event: MouseEvent<HTMLElement>) {
  event.currentTarget.closest("dialog")?.close();
}
`

const MOVE_TAB = `import type { KeyboardEvent } from "react";

/** For \`onKeyDown\` of a list of tabs: arrow keys choose the one beside. */
export function moveTab(event: KeyboardEvent<HTMLElement>) {
  const step = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
  const list = event.currentTarget.querySelectorAll<HTMLElement>("[role=tab]");
  const tabs = [...list];
  const at = tabs.findIndex((tab) => tab === event.target);
  if (step === undefined || at < 0) return;
  const next = tabs[(at + step + tabs.length) % tabs.length];
  next?.focus();
  next?.click();
}
`

const COUNT_FIELD = `import type { MouseEvent } from "react";

/** For \`onClick\`: counts the number that the button controls by its \`data-step\`. */
export function countField({ currentTarget: button }: MouseEvent<HTMLElement>) {
  const id = button.getAttribute("aria-controls") ?? "";
  const field = document.getElementById(id);
  if (!(field instanceof HTMLInputElement)) return;
  field.stepUp(Number(button.dataset["step"]));
  field.dispatchEvent(new Event("input", { bubbles: true }));
}
`

const ENTER_MENU = `import type { ToggleEvent } from "react";

/** For \`onToggle\` of a menu: the first item is focused when it is shown. */
export function enterMenu(event: ToggleEvent<HTMLElement>) {
  if (event.newState !== "open") return;
  event.currentTarget.querySelector<HTMLElement>("[role=menuitem]")?.focus();
}
`

const LEAVE_MENU = `import type { MouseEvent } from "react";

/** For \`onClick\` of a menu: what is chosen puts it away. */
export function leaveMenu(event: MouseEvent<HTMLElement>) {
  const item = (event.target as Element).closest("[role=menuitem]");
  if (item) event.currentTarget.hidePopover();
}
`

const MOVE_IN_MENU = `import type { KeyboardEvent } from "react";

/** For \`onKeyDown\` of a menu: arrow keys move from one item to the next. */
export function moveInMenu(event: KeyboardEvent<HTMLElement>) {
  const list =
    event.currentTarget.querySelectorAll<HTMLElement>("[role=menuitem]");
  const items = [...list];
  const at = items.findIndex((item) => item === event.target);
  const moves = { ArrowDown: at + 1, ArrowUp: at - 1, Home: 0, End: -1 };
  const next = moves[event.key as keyof typeof moves];
  if (next === undefined) return;
  event.preventDefault();
  items.at(next % items.length)?.focus();
}
`

const SCROLL_TO_PART = `import type { MouseEvent } from "react";

/** For \`onClick\` of a link to a part of the page: the address stays that of the page. */
export function scrollToPart(event: MouseEvent<HTMLAnchorElement>) {
  event.preventDefault();
  const id = event.currentTarget.hash.slice(1);
  document.getElementById(id)?.scrollIntoView({ behavior: "smooth" });
}
`

const USE_FORM = `import { useState, type SubmitEvent } from "react";

${FORM_CHECKS}
/** Checks and sends the answers of a form, and tells what became of them. */
export function useForm<Answers>(
  { send, words }: FormDefinition<Answers>,
  onSent?: () => void,
) {
  const [problems, setProblems] = useState<string[]>([]);
  const [status, setStatus] = useState("");

  async function submit(event: SubmitEvent<HTMLFormElement>) {
    event.preventDefault();
    const form = event.currentTarget;
    const found = findProblems(form, words);
    setProblems(found);
    setStatus("");
    if (found.length > 0) return;
    setStatus(words.sending);
    try {
      await send(Object.fromEntries(new FormData(form)) as Answers);
    } catch {
      setStatus(words.failed);
      return;
    }
    form.reset();
    setStatus(words.sent);
    onSent?.();
  }

  return { problems, status, submit };
}
`

const INDENT = '      '

const formMessages = (
  problems: string,
  status: string,
): string => `type Props = { problems: string[]; status: string };

/** What is wrong with the answers of a form, and what became of them. */
export function FormMessages({ problems, status }: Props) {
  return (
    <>
${openingTag(INDENT, 'div', ['role="alert"', `className="${problems}"`])}
        {problems.map((problem) => (
          <p key={problem}>{problem}</p>
        ))}
      </div>
${openingTag(INDENT, 'p', ['role="status"', `className="${status}"`])}
        {status}
      </p>
    </>
  );
}
`

const FILES = {
  closeDialog: CLOSE_DIALOG,
  closeTopDialog: CLOSE_TOP_DIALOG,
  countField: COUNT_FIELD,
  enterInView: ENTER_IN_VIEW,
  enterMenu: ENTER_MENU,
  leaveMenu: LEAVE_MENU,
  moveInMenu: MOVE_IN_MENU,
  moveTab: MOVE_TAB,
  postAnswers: POST_ANSWERS,
  scrollToPart: SCROLL_TO_PART,
  useForm: USE_FORM,
} as const satisfies Partial<Record<Helper, string>>

/** The helpers that are used, one file each. */
export const buildHelpers = (
  used: ReadonlySet<Helper>,
  classes: (kind: 'problems' | 'status') => string,
): EmittedFile[] => {
  const files = Object.entries(FILES).flatMap(([name, code]) =>
    used.has(name as Helper) ? [textFile(`src/behaviour/${name}.ts`, code)] : [],
  )
  if (!used.has('FormMessages')) return files
  const messages = formMessages(classes('problems'), classes('status'))
  return [...files, textFile('src/behaviour/FormMessages.tsx', messages)]
}
