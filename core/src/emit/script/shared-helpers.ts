/** What helpers of all targets that are TypeScript have in common, as text. */

export const POST_ANSWERS = `/** Sends answers to an address; fails when it does not take them. */
export async function postAnswers(address: string, answers: object) {
  const response = await fetch(address, {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify(answers),
  });
  if (!response.ok) throw new Error(response.statusText);
}
`

/** The type of what a form says. */
export const FORM_WORDS = `export type FormWords = {
  /** What is wrong with a field; % stands for its label. */
  missing: string;
  invalid: string;
  sending: string;
  sent: string;
  failed: string;
};
`

/** What a field of a form is called. */
export const FIELD_LABEL = `type Field = HTMLInputElement | HTMLSelectElement | HTMLTextAreaElement;

function labelOf(field: Field) {
  const label = field.labels?.[0]?.textContent ?? field.ariaLabel ?? field.name;
  return label.replace(/\\s*\\*\\s*$/, "").trim();
}
`

/** The types of a form, and what checks its fields by the browser's own rules. */
export const FORM_CHECKS = `${FORM_WORDS}
${FIELD_LABEL}
/** Marks the fields that are wrong, goes to the first, and tells why. */
function findProblems(form: HTMLFormElement, words: FormWords) {
  const fields = [...form.elements].filter((one) => "validity" in one);
  const wrong = (fields as Field[]).filter((field) => {
    field.removeAttribute("aria-invalid");
    return !field.validity.valid;
  });
  for (const field of wrong) field.setAttribute("aria-invalid", "true");
  wrong[0]?.focus();
  return wrong.map((field) => {
    const { missing, invalid } = words;
    const problem = field.validity.valueMissing ? missing : invalid;
    return problem.replace("%", labelOf(field));
  });
}

export type FormDefinition<Answers> = {
  send: (answers: Answers) => Promise<void>;
  words: FormWords;
};
`
