import { ChoiceField } from "@/ui/kit/forms/ChoiceField";

const RAD = Math.PI / 180;
const LIMITS_DEG = [30, 45, 60] as const;

/** How steep the keys bank at most: a help like the others. */
export function BankLimit({ bank_rad, onChange }: { bank_rad: number; onChange: (bank_rad: number) => void }) {
  const now = LIMITS_DEG.find((limit) => bank_rad < (limit + 0.5) * RAD) ?? 60;
  return (
    <ChoiceField
      label="Keys bank no steeper than"
      value={String(now)}
      onChange={(limit) => onChange(Number(limit) * RAD)}
      choices={LIMITS_DEG.map((limit) => ({ value: String(limit), label: `${limit}°` }))}
    />
  );
}
