"use client";
import { useEffect, useMemo, useState } from "react";
import {
  type Currency,
  type CurrencyRule,
  CURRENCY_RULE_VERSION,
  currencyOf,
  isZone,
  rulesInForce,
} from "@/core/logbook/currency";
import { DecisionAside } from "@/ui/kit/page/DecisionAside";
import { dayInWords } from "@/ui/kit/units/day-in-words";
import { newOwnId } from "@/ui/library/own/own-documents-store";
import { RuleEditor } from "./RuleEditor";
import { loadPractised, usePractised, useRules } from "./currency-store";
import { ruleWords, stateWords } from "./currency-words";
import { useEntries } from "./logbook-store";

const CAUTIONS = [
  "Rules here are examples until you make them yours. What your authority, club and insurer ask comes first.",
  "An entry is for learning: it takes the place of no report that is due by law.",
];

const ORDER: Record<Currency["state"], number> = { overdue: 0, never: 1, soon: 2, current: 3 };
const TONE: Record<Currency["state"], string> = {
  overdue: "text-brick",
  never: "text-ochre",
  soon: "text-ochre",
  current: "text-pine",
};

/** The time zone of this browser, or UTC. */
const zoneHere = () => {
  const { timeZone } = Intl.DateTimeFormat().resolvedOptions();
  return isZone(timeZone) ? timeZone : "UTC";
};

/** How the rules stand; null until it is known. */
export function useCurrency(): readonly Currency[] | null {
  const practised = usePractised((state) => state.practised);
  const asked_ms = usePractised((state) => state.asked_ms);
  const own = useRules((state) => state.own);
  return useMemo(
    () =>
      practised && own
        ? rulesInForce(own.map(({ document }) => document))
            .filter(({ on }) => on)
            .map((rule) => currencyOf(rule, practised, asked_ms, zoneHere()))
            .sort((a, b) => ORDER[a.state] - ORDER[b.state] || (a.days ?? 0) - (b.days ?? 0))
        : null,
    [practised, own, asked_ms],
  );
}

/** What is due, by the rules. */
export function LogbookAside() {
  const currency = useCurrency();
  const own = useRules((state) => state.own);
  const draft = useRules((state) => state.draft);
  const fault = usePractised((state) => state.fault);
  const kept = useEntries((state) => state.own);
  const [all, setAll] = useState(false);
  useEffect(() => {
    void useRules.getState().load();
  }, []);
  // At first, and when an entry was saved or deleted: it may count.
  useEffect(() => {
    void loadPractised();
  }, [kept]);
  const due = currency?.filter(({ state }) => state === "overdue" || state === "never") ?? [];
  const soon = currency?.find(({ state }) => state === "soon");
  const edit = (rule: CurrencyRule) => {
    const saved = own?.find(({ id }) => id === rule.id) ?? null;
    useRules.getState().edit(saved ? saved.document : { ...rule, id: newOwnId(), inPlaceOf: rule.id }, saved);
  };
  const off = own?.filter(({ document }) => !document.on) ?? [];
  return (
    <DecisionAside
      said={
        !currency
          ? { lead: fault ? "Not known." : "…", rest: fault ?? "" }
          : due.length === 0
            ? {
                lead: "Nothing is due.",
                rest: soon
                  ? `Next: ${soon.rule.name.toLowerCase()}, ${stateWords(soon)}.`
                  : `${currency.length} rules, all met.`,
              }
            : {
                lead: `${due.length} ${due.length === 1 ? "practice is" : "practices are"} due.`,
                rest: `First: ${due[0].rule.name.toLowerCase()}, ${stateWords(due[0])}.`,
              }
      }
      good={due.length === 0}
      cautions={CAUTIONS}
    >
      {draft ? (
        <RuleEditor draft={draft} />
      ) : (
        <section className="border-t border-rule px-4 py-2" aria-label="Currency">
          <ul>
            {currency?.map((one) => (
              <li key={one.rule.id} className="border-b border-rule py-1.5 last:border-b-0">
                <p className="flex items-baseline gap-2">
                  <button
                    type="button"
                    className="text-left font-semibold underline-offset-4 hover:underline focus-visible:underline"
                    onClick={() => edit(one.rule)}
                  >
                    {one.rule.name}
                    <span className="sr-only">: change the rule</span>
                  </button>
                  <span className={`num ml-auto text-right whitespace-nowrap text-[14px] ${TONE[one.state]}`}>
                    {stateWords(one)}
                  </span>
                </p>
                {one.by && (
                  <p className="text-[13px] text-ink2">
                    {dayInWords(one.by.at_ms)}, {one.by.words}
                  </p>
                )}
                {all && (
                  <p className="text-[13px] text-ink2">
                    {ruleWords(one.rule)} {one.rule.note}
                  </p>
                )}
              </li>
            ))}
          </ul>
          {off.map(({ id, document }) => (
            <p key={id} className="text-[13px] text-ink2">
              Off: {document.name}{" "}
              <button type="button" className="btn btn-quiet py-0" onClick={() => edit(document)}>
                Change
              </button>
            </p>
          ))}
          <p className="flex gap-2 pt-1">
            <button type="button" className="btn btn-quiet" aria-pressed={all} onClick={() => setAll(!all)}>
              The rules in words
            </button>
            <button
              type="button"
              className="btn btn-quiet"
              onClick={() =>
                useRules.getState().edit(
                  {
                    schema: "utrimax/currency-rule",
                    version: CURRENCY_RULE_VERSION,
                    id: newOwnId(),
                    name: "A rule of my own",
                    practice: "engine-failure",
                    ways: ["flight"],
                    times: 1,
                    within: { count: 90, unit: "days" },
                    note: "",
                    on: true,
                    inPlaceOf: null,
                  },
                  null,
                )
              }
            >
              A rule more
            </button>
          </p>
        </section>
      )}
    </DecisionAside>
  );
}
