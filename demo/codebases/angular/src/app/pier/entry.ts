import { Component, computed, input } from "@angular/core";

let count = 0;

/** A line of text a person writes. */
@Component({
  selector: "pier-entry",
  templateUrl: "./entry.html",
  styleUrl: "./entry.css",
  host: { "[class.invalid]": "invalid()" },
})
export class PierEntry {
  readonly caption = input.required<string>();
  readonly name = input.required<string>();
  readonly value = input<string>();
  readonly placeholder = input("");
  readonly kind = input<"text" | "email" | "number" | "tel" | "time" | "date">(
    "text",
  );
  readonly advice = input("");
  readonly invalid = input(false);
  readonly required = input(false);
  protected readonly id = `pier-entry-${++count}`;
  protected readonly note = computed(() =>
    this.advice() === "" ? null : `${this.id}-note`,
  );
}
