/**
 * One number and what it means.
 *
 * @attr {string} heading - what is counted
 * @attr {string} amount - how many
 * @attr {string} detail - what it means
 */
class WharfStat extends HTMLElement {
  connectedCallback() {
    const root = this.shadowRoot ?? this.attachShadow({ mode: "open" });
    root.innerHTML = `
      <style>
        :host {
          display: flex; flex-direction: column; gap: 4px; padding: 20px; border-radius: 12px;
          border: 1px solid var(--wharf-rule, #d9d2c3); background: var(--wharf-sheet, #fffdf8);
          color: var(--wharf-soft, #55656b); font: 400 14px/20px Inter, sans-serif;
        }
        strong { font-size: 40px; line-height: 48px; color: var(--wharf-ink, #1f3038) }
      </style>
      <span></span><strong></strong><span></span>`;
    const [heading, detail] = root.querySelectorAll("span");
    heading.textContent = this.getAttribute("heading");
    root.querySelector("strong").textContent = this.getAttribute("amount");
    detail.textContent = this.getAttribute("detail");
  }
}

customElements.define("wharf-stat", WharfStat);
