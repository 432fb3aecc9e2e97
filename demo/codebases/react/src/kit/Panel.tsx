import type { ComponentProps } from "react";
import "./kit.css";

type PanelProps = ComponentProps<"section"> & { heading?: string };

/** A sheet that holds other things. */
export function Panel({
  heading,
  children,
  className = "",
  ...rest
}: PanelProps) {
  return (
    <section className={`quay-panel ${className}`} {...rest}>
      {heading !== undefined && <h2>{heading}</h2>}
      {children}
    </section>
  );
}
