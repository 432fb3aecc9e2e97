import { booleanAttribute, Component, input } from "@angular/core";

/** Anything a person presses: stands on a button or on a link. */
@Component({
  selector: "button[pierPush]",
  template: `<ng-content />`,
  styleUrl: "./push.css",
  host: {
    class: "push",
    "[class.push--quiet]": "weight() === 'quiet'",
    "[disabled]": "inactive()",
  },
})
export class PierPush {
  readonly weight = input<"heavy" | "quiet">("heavy");
  readonly inactive = input(false, { transform: booleanAttribute });
}
