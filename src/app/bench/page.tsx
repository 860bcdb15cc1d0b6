import { BenchIndex } from "@/ui/bench/BenchIndex";

export const metadata = { title: "Bench" };

/** Every question that the bench answers. */
export default function Page() {
  return <BenchIndex />;
}
