import { DOM_HELPERS } from '../../script/dom-helpers.js'
import { openingTag } from '../../script/opening-tag.js'
import { FIELD_LABEL, FORM_WORDS, POST_ANSWERS } from '../../script/shared-helpers.js'
import type { Helper } from '../../project/component-code.js'
import { textFile, type EmittedFile } from '../../shared/emitted-file.js'
import { toFileName } from '../names.js'

const ENTER_IN_VIEW = `import { DestroyRef, Directive, ElementRef, inject } from "@angular/core";

/** What comes in when it is scrolled to waits until then. */
@Directive({ selector: "[appEnterInView]" })
export class EnterInView {
  constructor() {
    const element = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
    const watcher = new IntersectionObserver(([entry]) => {
      if (!entry?.isIntersecting) return;
      watcher.disconnect();
      element.dataset["enter"] = "";
    });
    watcher.observe(element);
    inject(DestroyRef).onDestroy(() => watcher.disconnect());
  }
}
`

const SENT_FORM = `import { signal } from "@angular/core";
import type { FormControl, FormGroup } from "@angular/forms";

${FORM_WORDS}
export type FormDefinition<Answers> = {
  build: () => FormGroup<Controls<Answers>>;
  send: (answers: Answers) => Promise<void>;
  words: FormWords;
};

type Controls<Answers> = {
  [Name in keyof Answers]: FormControl<Answers[Name]>;
};

${FIELD_LABEL}
/** A form: its controls, whether its answers were sent, and what is wrong with them. */
export class SentForm<Answers> {
  readonly group: FormGroup<Controls<Answers>>;
  readonly problems = signal<string[]>([]);
  readonly status = signal("");

  constructor(
    private readonly definition: FormDefinition<Answers>,
    private readonly onSent?: () => void,
  ) {
    this.group = definition.build();
  }

  /** Sends the answers, or goes to the first field that is wrong. */
  readonly submit = async (event: Event) => {
    const { send, words } = this.definition;
    const found = this.findProblems(event.target as HTMLFormElement);
    this.problems.set(found);
    this.status.set("");
    if (found.length > 0) return;
    this.status.set(words.sending);
    try {
      await send(this.group.getRawValue() as Answers);
    } catch {
      this.status.set(words.failed);
      return;
    }
    this.group.reset();
    this.status.set(words.sent);
    this.onSent?.();
  };

  /** Marks the fields that are wrong, goes to the first, and tells why. */
  private findProblems(form: HTMLFormElement) {
    const { missing, invalid } = this.definition.words;
    const fields = [...form.elements].filter((one) => "validity" in one);
    const wrong = (fields as Field[]).filter((field) => {
      field.removeAttribute("aria-invalid");
      const isInvalid = this.group.get(field.name)?.invalid ?? false;
      return isInvalid || !field.validity.valid;
    });
    for (const field of wrong) field.setAttribute("aria-invalid", "true");
    wrong[0]?.focus();
    return wrong.map((field) => {
      const isMissing = this.group.get(field.name)?.hasError("required");
      const problem = isMissing ? missing : invalid;
      return problem.replace("%", labelOf(field));
    });
  }
}
`

const USE_PAGE = `import { inject } from "@angular/core";
import { Meta, Title } from "@angular/platform-browser";

/** The title of the page, and what it is about, while it is shown. */
export function usePage(title: string, about = "") {
  inject(Title).setTitle(title);
  inject(Meta).updateTag({ name: "description", content: about });
}
`

const formMessages = (
  template: string,
): string => `import { ChangeDetectionStrategy, Component, input } from "@angular/core";

/** What is wrong with the answers of a form, and what became of them. */
@Component({
  selector: "app-form-messages",
  ${template},
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: {
    class: "contents",
  },
})
export class FormMessages {
  readonly problems = input.required<string[]>();
  readonly status = input.required<string>();
}
`

/** An opening tag on one line, or with an attribute a line where it is too long for one. */
// The words of the status are no child: white space around them would keep an empty one in sight.
const messagesTemplate = (indent: string, problems: string, status: string): string =>
  `${openingTag(indent, 'div', ['role="alert"', `class="${problems}"`])}
${indent}  @for (problem of problems(); track problem) {
${indent}    <p>{{ problem }}</p>
${indent}  }
${indent}</div>
${openingTag(indent, 'p', ['role="status"', '[textContent]="status()"', `class="${status}"`], '</p>')}
`

/** The messages of a form, with their template in a file of its own or inside. */
const messageFiles = (
  path: string,
  classes: (kind: 'problems' | 'status') => string,
  isInside: boolean,
): EmittedFile[] => {
  const template = (indent: string): string =>
    messagesTemplate(indent, classes('problems'), classes('status'))
  if (isInside)
    return [textFile(`${path}.ts`, formMessages(`template: \`\n${template('    ')}  \``))]
  return [
    textFile(`${path}.ts`, formMessages('templateUrl: "./form-messages.html"')),
    textFile(`${path}.html`, template('')),
  ]
}

const FILES = {
  ...DOM_HELPERS,
  enterInView: ENTER_IN_VIEW,
  postAnswers: POST_ANSWERS,
} as const satisfies Partial<Record<Helper, string>>

/** The file of a helper, as seen from a component. */
export const helperPath = (name: string): string => `../behaviour/${toFileName(name)}`

/** The helpers that are used, one file each; every screen says what it is called. */
export const writeHelpers = (
  used: ReadonlySet<Helper>,
  classes: (kind: 'problems' | 'status') => string,
  hasTemplatesInside: boolean,
): EmittedFile[] => {
  const folder = 'src/app/behaviour'
  const files = [
    textFile(`${folder}/use-page.ts`, USE_PAGE),
    ...Object.entries(FILES).flatMap(([name, code]) =>
      used.has(name as Helper) ? [textFile(`${folder}/${toFileName(name)}.ts`, code)] : [],
    ),
    ...(used.has('useForm') ? [textFile(`${folder}/sent-form.ts`, SENT_FORM)] : []),
  ]
  if (!used.has('FormMessages')) return files
  return [...files, ...messageFiles(`${folder}/form-messages`, classes, hasTemplatesInside)]
}
