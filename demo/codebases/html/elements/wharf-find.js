/**
 * A thing somebody has seen.
 *
 * @attr {string} species - what it is
 * @attr {string} place - where it was
 * @attr {string} time - when it was seen
 * @attr {boolean} rare - few people see it
 */
class WharfFind extends HTMLElement {
  connectedCallback() {
    const root = this.shadowRoot ?? this.attachShadow({ mode: "open" });
    root.innerHTML = `
      <style>
        :host {
          display: flex; align-items: center; gap: 12px; padding: 12px 0;
          color: var(--wharf-soft, #55656b); font: 400 14px/20px Inter, sans-serif;
        }
        span { flex: 1 }
        b { display: block; font-size: 16px; color: var(--wharf-ink, #1f3038) }
        em { color: var(--wharf-red, #9c3f28); font-style: normal; font-weight: 600 }
      </style>
      <span><b></b><i></i></span><em></em><time></time>`;
    root.querySelector("b").textContent = this.getAttribute("species");
    root.querySelector("i").textContent = this.getAttribute("place");
    root.querySelector("em").textContent = this.hasAttribute("rare")
      ? "Rare"
      : "";
    root.querySelector("time").textContent = this.getAttribute("time");
  }
}

customElements.define("wharf-find", WharfFind);
