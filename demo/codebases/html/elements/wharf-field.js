let count = 0;

/**
 * A line of text a person writes. It stands in the page itself, so that its form sees it.
 *
 * @attr {string} caption - the words above it
 * @attr {string} name - by which its answer is known
 * @attr {string} value - what stands in it at first
 * @attr {string} placeholder - what is shown while it is empty
 * @attr {'text'|'email'|'number'|'time'|'date'} [kind=text] - what is written
 * @attr {string} note - the words below it
 * @attr {boolean} invalid - what stands in it is wrong
 * @attr {boolean} required - it must be filled in
 */
class WharfField extends HTMLElement {
  connectedCallback() {
    if (this.querySelector("input")) return;
    const id = `wharf-field-${++count}`;
    const label = document.createElement("label");
    label.textContent = this.getAttribute("caption");
    label.htmlFor = id;
    const input = document.createElement("input");
    input.id = id;
    input.type = this.getAttribute("kind") ?? "text";
    for (const name of ["name", "value", "placeholder"]) {
      const value = this.getAttribute(name);
      if (value !== null) input.setAttribute(name, value);
    }
    input.required = this.hasAttribute("required");
    input.setAttribute("aria-invalid", String(this.hasAttribute("invalid")));
    const note = document.createElement("small");
    note.textContent = this.getAttribute("note");
    this.append(label, input, note);
    this.style.cssText = "display:flex;flex-direction:column;gap:6px";
  }
}

customElements.define("wharf-field", WharfField);
