import { booleanAttribute, Component, Input } from "@angular/core";
import { PierMark } from "./mark";

/** A thing somebody has seen. */
@Component({
  selector: "pier-observation",
  imports: [PierMark],
  templateUrl: "./observation.html",
  styleUrl: "./observation.css",
})
export class PierObservation {
  @Input({ required: true }) name!: string;
  @Input({ required: true }) spot!: string;
  @Input({ required: true }) hour!: string;
  @Input({ transform: booleanAttribute }) rare = false;
}
