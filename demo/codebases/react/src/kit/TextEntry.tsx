import { useId } from "react";
import "./kit.css";

type TextEntryProps = {
  /** The words above it. */
  caption: string;
  name: string;
  /** What stands in it at first. */
  defaultText?: string;
  placeholder?: string;
  kind?: "text" | "email" | "number" | "tel" | "time" | "date" | "search";
  /** The words below it: what to write, or what is wrong. */
  note?: string;
  hasProblem?: boolean;
  required?: boolean;
  className?: string;
};

/** A line of text a person writes. */
export const TextEntry = ({
  caption,
  name,
  defaultText,
  placeholder,
  kind = "text",
  note,
  hasProblem = false,
  required,
  className = "",
}: TextEntryProps) => {
  const id = useId();
  return (
    <div
      className={`quay-entry ${hasProblem ? "quay-entry--problem" : ""} ${className}`}
    >
      <label className="quay-entry__caption" htmlFor={id}>
        {caption}
      </label>
      <input
        className="quay-entry__input"
        id={id}
        name={name}
        type={kind}
        defaultValue={defaultText}
        placeholder={placeholder}
        required={required}
        aria-invalid={hasProblem}
        aria-describedby={note === undefined ? undefined : `${id}-note`}
      />
      {note !== undefined && (
        <span className="quay-entry__note" id={`${id}-note`}>
          {note}
        </span>
      )}
    </div>
  );
};
