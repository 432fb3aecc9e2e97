import { FORM_CHECKS, POST_ANSWERS } from '../../script/shared-helpers.js'
import type { Helper } from '../../shared/component-code.js'
import { textFile, type EmittedFile } from '../../shared/emitted-file.js'

const ENTER_IN_VIEW = `import type { Directive } from "vue";

/** \`v-enter-in-view\`: what comes in when it is scrolled to waits until then. */
export const vEnterInView: Directive<HTMLElement | SVGElement> = {
  mounted(element) {
    const watcher = new IntersectionObserver(([entry]) => {
      if (!entry?.isIntersecting) return;
      watcher.disconnect();
      element.dataset["enter"] = "";
    });
    watcher.observe(element);
  },
};
`

const CLOSE_DIALOG = `/** For \`@click\`: closes the dialog the button stands in. */
export function closeDialog(event: Event) {
  const button = event.currentTarget as HTMLElement;
  button.closest("dialog")?.close();
}
`

const MOVE_TAB = `/** For \`@keydown\` of a list of tabs: arrow keys choose the one beside. */
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

const COUNT_FIELD = `/** For \`@click\`: counts the number that the button controls by its \`data-step\`. */
export function countField(event: Event) {
  const button = event.currentTarget as HTMLElement;
  const id = button.getAttribute("aria-controls") ?? "";
  const field = document.getElementById(id);
  if (!(field instanceof HTMLInputElement)) return;
  field.stepUp(Number(button.dataset["step"]));
  field.dispatchEvent(new Event("input", { bubbles: true }));
}
`

const ENTER_MENU = `/** For \`@toggle\` of a menu: the first item is focused when it is shown. */
export function enterMenu(event: Event) {
  if (!(event instanceof ToggleEvent) || event.newState !== "open") return;
  const menu = event.currentTarget as HTMLElement;
  menu.querySelector<HTMLElement>("[role=menuitem]")?.focus();
}
`

const LEAVE_MENU = `/** For \`@click\` of a menu: what is chosen puts it away. */
export function leaveMenu(event: Event) {
  const item = (event.target as Element).closest("[role=menuitem]");
  if (item) (event.currentTarget as HTMLElement).hidePopover();
}
`

const MOVE_IN_MENU = `/** For \`@keydown\` of a menu: arrow keys move from one item to the next. */
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

const SCROLL_TO_PART = `/** For \`@click\` of a link to a part of the page: the address stays that of the page. */
export function scrollToPart(event: Event) {
  event.preventDefault();
  const id = (event.currentTarget as HTMLAnchorElement).hash.slice(1);
  document.getElementById(id)?.scrollIntoView({ behavior: "smooth" });
}
`

const USE_FORM = `import { reactive, ref } from "vue";

${FORM_CHECKS}
/** Checks and sends the answers of a form, and tells what became of them. */
export function useForm<Answers>(
  { send, words }: FormDefinition<Answers>,
  onSent?: () => void,
) {
  const problems = ref<string[]>([]);
  const status = ref("");

  async function submit(event: Event) {
    const form = event.currentTarget as HTMLFormElement;
    problems.value = findProblems(form, words);
    status.value = "";
    if (problems.value.length > 0) return;
    status.value = words.sending;
    try {
      await send(Object.fromEntries(new FormData(form)) as Answers);
    } catch {
      status.value = words.failed;
      return;
    }
    form.reset();
    status.value = words.sent;
    onSent?.();
  }

  return reactive({ problems, status, submit });
}
`

/** An opening tag on one line, or with an attribute a line where it is too long for one. */
const openingTag = (tag: string, role: string, classes: string): string => {
  const oneLine = `  <${tag} role="${role}" class="${classes}">`
  if (oneLine.length <= 80) return oneLine
  return `  <${tag}\n    role="${role}"\n    class="${classes}"\n  >`
}

const formMessages = (problems: string, status: string): string => `<script setup lang="ts">
// What is wrong with the answers of a form, and what became of them.
defineProps<{ problems: string[]; status: string }>();
</script>

<template>
${openingTag('div', 'alert', problems)}
    <p v-for="problem in problems" :key="problem">{{ problem }}</p>
  </div>
${openingTag('p', 'status', status)}
    {{ status }}
  </p>
</template>
`

const FILES = {
  closeDialog: CLOSE_DIALOG,
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

const USE_PAGE = `/** The title of the page, and what it is about, while it is shown. */
export function usePage(title: string, about = "") {
  document.title = title;
  let meta = document.querySelector<HTMLMetaElement>("meta[name=description]");
  if (!meta) {
    meta = document.createElement("meta");
    meta.name = "description";
    document.head.append(meta);
  }
  meta.content = about;
}
`

/** The helpers that are used, one file each; every screen says what it is called. */
export const writeHelpers = (
  used: ReadonlySet<Helper>,
  classes: (kind: 'problems' | 'status') => string,
): EmittedFile[] => {
  const files = [
    textFile('src/behaviour/usePage.ts', USE_PAGE),
    ...Object.entries(FILES).flatMap(([name, code]) =>
      used.has(name as Helper) ? [textFile(`src/behaviour/${name}.ts`, code)] : [],
    ),
  ]
  if (!used.has('FormMessages')) return files
  const messages = formMessages(classes('problems'), classes('status'))
  return [...files, textFile('src/behaviour/FormMessages.vue', messages)]
}
