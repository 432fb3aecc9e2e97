import { Component, input } from "@angular/core";

/** A link that looks like a button. */
@Component({
  selector: "pier-push-link",
  template: `<a class="push" [href]="address()"><ng-content /></a>`,
  styleUrl: "./push-link.css",
  host: { "[class.push-link--quiet]": "weight() === 'quiet'" },
})
export class PierPushLink {
  readonly weight = input<"heavy" | "quiet">("heavy");
  readonly address = input.required<string>();
}
