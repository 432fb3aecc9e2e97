import type { PropsWithChildren } from "react";
import "./kit.css";

/** A word or two about a thing. */
export const Tag = ({
  tone = "calm",
  children,
}: PropsWithChildren<{ tone?: "calm" | "alert" }>) => (
  <span className={`quay-tag ${tone === "alert" ? "quay-tag--alert" : ""}`}>
    {children}
  </span>
);
