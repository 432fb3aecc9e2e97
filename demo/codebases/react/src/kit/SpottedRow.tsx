import { memo } from "react";
import { Tag } from "@/kit/Tag";
import "./kit.css";

type Props = {
  /** The species. */
  what: string;
  where: string;
  /** When it was seen, as 09:12. */
  at: string;
  isUncommon?: boolean;
};

/** A thing somebody has seen. */
export const SpottedRow = memo(function SpottedRow({
  what,
  where,
  at,
  isUncommon = false,
}: Props) {
  return (
    <div className="quay-row">
      <span className="quay-row__words">
        <span className="quay-row__what">{what}</span>
        {where}
      </span>
      {isUncommon && <Tag tone="alert">Rare</Tag>}
      <time>{at}</time>
    </div>
  );
});
