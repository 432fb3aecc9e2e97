import "./kit.css";

interface StatProps {
  heading: string;
  amount: string;
  detail?: string;
  className?: string;
}

/** One number and what it means. */
export default function Stat({
  heading,
  amount,
  detail,
  className = "",
}: StatProps) {
  return (
    <div className={`quay-stat ${className}`}>
      <span>{heading}</span>
      <strong className="quay-stat__amount">{amount}</strong>
      {detail !== undefined && <span>{detail}</span>}
    </div>
  );
}
