import { DOM_HELPERS } from '../../script/dom-helpers.js'
import { openingTag } from '../../script/opening-tag.js'
import { FORM_CHECKS, POST_ANSWERS } from '../../script/shared-helpers.js'
import type { Helper } from '../../project/component-code.js'
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
const formMessages = (problems: string, status: string): string => `<script setup lang="ts">
// What is wrong with the answers of a form, and what became of them.
defineProps<{ problems: string[]; status: string }>();
</script>

<template>
${openingTag('  ', 'div', ['role="alert"', `class="${problems}"`])}
    <p v-for="problem in problems" :key="problem">{{ problem }}</p>
  </div>
${openingTag('  ', 'p', ['role="status"', `class="${status}"`])}
    {{ status }}
  </p>
</template>
`

const FILES = {
  ...DOM_HELPERS,
  enterInView: ENTER_IN_VIEW,
  postAnswers: POST_ANSWERS,
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
