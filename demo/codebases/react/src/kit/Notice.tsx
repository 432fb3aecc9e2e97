import { Component, type ReactNode } from "react";
import { Tag } from "@/kit/Tag";
import "./kit.css";

type NoticeProps = { kind: "news" | "warning"; children: ReactNode };

/** @deprecated Use a Panel with a Tag. */
export class Notice extends Component<NoticeProps> {
  render() {
    const { kind, children } = this.props;
    return (
      <div className="quay-panel" role="status">
        <Tag tone={kind === "warning" ? "alert" : "calm"}>{kind}</Tag>
        {children}
      </div>
    );
  }
}
