import type { ReactNode } from "react";
import "./kit.css";

export type ActionProps = {
  /** How much it asks to be pressed. */
  emphasis?: "strong" | "subtle";
  isOff?: boolean;
  /** Where it leads; it is a link then. */
  href?: string;
  type?: "button" | "submit";
  onPress?: () => void;
  className?: string;
  children: ReactNode;
};

/** Anything a person presses. */
export function Action({
  emphasis = "strong",
  isOff = false,
  href,
  type = "button",
  onPress,
  className = "",
  children,
}: ActionProps) {
  const classes = `quay-action quay-action--${emphasis} ${className}`;
  if (href !== undefined) {
    return (
      <a className={classes} href={href}>
        {children}
      </a>
    );
  }
  return (
    <button
      className={classes}
      type={type}
      disabled={isOff}
      onClick={() => onPress?.()}
    >
      {children}
    </button>
  );
}
