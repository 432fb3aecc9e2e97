import { Component, Input } from "@angular/core";

/** A word or two about a thing. */
@Component({
  selector: "pier-mark",
  template: `<ng-content />`,
  styles: `
    :host {
      padding: 2px 10px;
      border-radius: 999px;
      background: #f7e3da;
      color: #9c3f28;
      font-weight: 600;
    }
  `,
})
export class PierMark {
  @Input() mood: "calm" | "alert" = "calm";
}
