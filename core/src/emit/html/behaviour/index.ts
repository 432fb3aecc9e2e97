import { textFile, type EmittedFile } from '../../shared/emitted-file.js'

/** A thing pages do that HTML has no element or attribute for. */
export type BehaviourPart = 'enter' | 'forms' | 'menus' | 'steppers' | 'tabs' | 'toggles'

const ENTER = `// What comes in when it is scrolled to waits until then.
const watcher = new IntersectionObserver((entries) => {
  for (const { target, isIntersecting } of entries) {
    if (!isIntersecting) continue;
    watcher.unobserve(target);
    target.dataset.enter = "";
  }
});
for (const element of document.querySelectorAll("[data-enter]")) {
  watcher.observe(element);
}
`

const FORMS = `// Forms: answers are checked and sent, and what became of them is said.
const labelOf = (field) =>
  (field.labels?.[0]?.textContent ?? field.ariaLabel ?? field.name)
    .replace(/\\s*\\*\\s*$/, "")
    .trim();

const check = (form) => {
  const problems = form.querySelector("[data-problems]");
  problems.replaceChildren();
  const wrong = [...form.elements].filter((field) => !field.validity.valid);
  for (const field of form.elements) field.removeAttribute("aria-invalid");
  for (const field of wrong) {
    const { missing, invalid } = form.dataset;
    const words = field.validity.valueMissing ? missing : invalid;
    const item = document.createElement("p");
    item.textContent = words.replace("%", labelOf(field));
    problems.append(item);
    field.setAttribute("aria-invalid", "true");
  }
  wrong[0]?.focus();
  return wrong.length === 0;
};

const send = async (form) => {
  const answers = Object.fromEntries(new FormData(form));
  const { endpoint } = form.dataset;
  if (!endpoint) return handlers[form.id]?.(answers);
  const response = await fetch(endpoint, {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify(answers),
  });
  if (!response.ok) throw new Error(response.statusText);
};

for (const form of document.querySelectorAll("form[data-missing]")) {
  const status = form.querySelector("[data-status]");
  form.noValidate = true;
  form.addEventListener("submit", async (event) => {
    event.preventDefault();
    status.textContent = "";
    if (!check(form)) return;
    const { sending, sent, failed, success } = form.dataset;
    status.textContent = sending;
    try {
      await send(form);
    } catch {
      status.textContent = failed;
      return;
    }
    if (success) {
      location.href = success;
      return;
    }
    form.reset();
    status.textContent = sent;
  });
}
`

const MENUS = `// Menus: arrow keys move from one item to the next; what is chosen puts the menu away.
for (const menu of document.querySelectorAll("[role=menu]")) {
  const items = [...menu.querySelectorAll("[role=menuitem]")];
  menu.addEventListener("toggle", ({ newState }) => {
    if (newState === "open") items[0]?.focus();
  });
  menu.addEventListener("keydown", (event) => {
    const at = items.indexOf(document.activeElement);
    const moves = { ArrowDown: at + 1, ArrowUp: at - 1, Home: 0, End: -1 };
    const next = moves[event.key];
    if (next === undefined) return;
    event.preventDefault();
    items.at(next % items.length)?.focus();
  });
  menu.addEventListener("click", ({ target }) => {
    if (menu.popover && target.closest("[role=menuitem]")) menu.hidePopover();
  });
}
`

const STEPPERS = `// Buttons that count a number up and down.
for (const button of document.querySelectorAll("[data-step]")) {
  button.addEventListener("click", () => {
    const field = document.getElementById(button.getAttribute("aria-controls"));
    field.stepUp(Number(button.dataset.step));
    field.dispatchEvent(new Event("input", { bubbles: true }));
  });
}
`

const TABS = `// Tabs: one of their parts is shown; arrow keys move from one to the next.
for (const list of document.querySelectorAll("[role=tablist]")) {
  const tabs = [...list.querySelectorAll("[role=tab]")];
  const show = (chosen) => {
    for (const tab of tabs) {
      const isChosen = tab === chosen;
      tab.setAttribute("aria-selected", String(isChosen));
      tab.tabIndex = isChosen ? 0 : -1;
      const part = document.getElementById(tab.getAttribute("aria-controls"));
      if (part) part.hidden = !isChosen;
    }
  };
  list.addEventListener("click", ({ target }) => {
    const tab = target.closest("[role=tab]");
    if (tab) show(tab);
  });
  list.addEventListener("keydown", ({ key, target }) => {
    const step = { ArrowLeft: -1, ArrowRight: 1 }[key];
    const at = tabs.indexOf(target);
    if (!step || at < 0) return;
    const next = tabs[(at + step + tabs.length) % tabs.length];
    show(next);
    next.focus();
  });
}
`

const TOGGLES = `// Buttons that show and hide a part of the page.
for (const button of document.querySelectorAll("[data-toggle]")) {
  button.addEventListener("click", () => {
    const part = document.getElementById(button.getAttribute("aria-controls"));
    part.hidden = !part.hidden;
    button.setAttribute("aria-expanded", String(!part.hidden));
  });
}
`

const PARTS: Readonly<Record<BehaviourPart, string>> = {
  enter: ENTER,
  forms: FORMS,
  menus: MENUS,
  steppers: STEPPERS,
  tabs: TABS,
  toggles: TOGGLES,
}

/** The script of the pages, of the parts that are used; undefined when none is. */
export const buildBehaviour = (used: ReadonlySet<BehaviourPart>): EmittedFile | undefined => {
  const parts = Object.entries(PARTS).filter(([name]) => used.has(name as BehaviourPart))
  if (parts.length === 0) return undefined
  return textFile('behaviour.js', parts.map(([, code]) => code).join('\n'))
}

/** What becomes of the answers of forms that have no address: one function each, to be filled in. */
export const buildHandlers = (
  forms: readonly { readonly id: string; readonly name: string }[],
): EmittedFile => {
  const entries = forms.map(
    ({ id }) => `  ${/^[a-z]\w*$/.test(id) ? id : JSON.stringify(id)}: async (answers) => {
    console.info(${JSON.stringify(id)}, answers);
  },
`,
  )
  return textFile(
    'handlers.js',
    `// What becomes of the answers of each form, by its id. Fill in.\nconst handlers = {${entries.length > 0 ? `\n${entries.join('')}` : ''}};\n`,
  )
}
