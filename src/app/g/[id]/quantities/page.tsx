import { QuantitiesView } from "@/ui/quantities/QuantitiesView";

export default function Page() {
  return <QuantitiesView />;
}
