import { Component, input } from "@angular/core";

/** One number and what it means. */
@Component({
  selector: "pier-number-tile",
  template: `
    <span>{{ title() }}</span>
    <strong>{{ figure() }}</strong>
    @if (subtitle()) {
      <span>{{ subtitle() }}</span>
    }
  `,
  styleUrl: "./number-tile.css",
})
export class PierNumberTile {
  readonly title = input.required<string>();
  readonly figure = input.required<string>();
  readonly subtitle = input("");
}
