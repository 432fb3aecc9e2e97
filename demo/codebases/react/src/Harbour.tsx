import { Action } from "@/kit/Action";
import { Panel } from "@/kit/Panel";
import Stat from "@/kit/Stat";
import { TextEntry } from "@/kit/TextEntry";

/** What the team had before: the harbour's page. */
export function Harbour() {
  return (
    <Panel heading="Harbour">
      <Stat heading="Boats in" amount="14" />
      <TextEntry caption="Boat" name="boat" note="As painted on the bow" />
      <Action type="submit">Report</Action>
      <Action emphasis="subtle" href="#/berths">
        Berths
      </Action>
    </Panel>
  );
}
