import { createRoot } from "react-dom/client";
import { Harbour } from "@/Harbour";

createRoot(document.getElementById("root")!).render(<Harbour />);
