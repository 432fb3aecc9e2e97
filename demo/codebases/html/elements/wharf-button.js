/**
 * Anything a person presses.
 *
 * @attr {'full'|'light'} [force=full] - how much it asks to be pressed
 * @attr {boolean} inactive - it cannot be pressed
 * @attr {string} href - where it leads
 * @attr {'button'|'submit'} [type=button] - whether it sends the form it stands in
 * @slot - its words
 */
class WharfButton extends HTMLElement {
  static observedAttributes = ["href", "inactive"];

  connectedCallback() {
    const root = this.shadowRoot ?? this.attachShadow({ mode: "open" });
    const href = this.getAttribute("href");
    const tag = href === null ? "button" : "a";
    root.innerHTML = `
      <style>
        :host { display: inline-flex }
        .it {
          flex: 1; padding: 8px 20px; border: 1px solid transparent; border-radius: 8px;
          background: var(--wharf-green, #2c664b); color: var(--wharf-sheet, #fffdf8);
          font: 600 16px/26px Inter, sans-serif; text-align: center; text-decoration: none;
        }
        :host([force="light"]) .it {
          background: transparent; color: var(--wharf-green, #1d4a36); border-color: var(--wharf-rule, #d9d2c3);
        }
      </style>
      <${tag} class="it"><slot></slot></${tag}>`;
    const inside = root.querySelector(".it");
    if (href !== null) inside.setAttribute("href", href);
    if (this.getAttribute("type") === "submit") {
      inside.addEventListener("click", () =>
        this.closest("form")?.requestSubmit(),
      );
    }
    if (href === null && this.hasAttribute("inactive")) inside.disabled = true;
  }
}

customElements.define("wharf-button", WharfButton);
