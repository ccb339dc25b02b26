import { G0 } from "../../quantities/constants";
import { type WorkingStep, workingStep } from "../../working";
import type { FlownPolar } from "./polar-fit";

const SOURCE = "least squares, each glide by how well it is known";

/** How a polar comes out of flown glides, step by step. */
export function polarFitWorking(fit: FlownPolar, mass_kg: number, wingArea_m2: number, glides: number): WorkingStep[] {
  const step = (
    figure: string,
    symbol: string,
    meaning: string,
    formula: string,
    value: number | string,
    unit: string,
    source = SOURCE,
  ) => workingStep(figure, symbol, meaning, formula, value, unit, source);
  const loading = (mass_kg * G0) / wingArea_m2;
  const inputs = [
    step("", "m", "Mass", "", mass_kg, "kg", "as flown"),
    step("", "S", "Wing area", "", wingArea_m2, "m²", "aircraft"),
    step("", "n", "Glides", "", glides, "", "log"),
  ];
  return ["cd0", "k", "ratio", "speed"].flatMap((figure) => [
    ...inputs.map((input) => ({ ...input, figure })),
    step(figure, "W/S", "Weight over wing area", "m·g/S", loading, "N/m²", "definition"),
    step(
      figure,
      "y",
      "Drag over wing area of each glide",
      "(sink/V)·(W/S) = CD0·q + k·(W/S)²·cos²γ/q",
      "for each glide",
      "",
    ),
    step(figure, "CD0", "Drag without lift", "least squares of y", fit.cd0, ""),
    step(figure, "σ(CD0)", "its standard deviation", "√((AᵀA)⁻¹)₁₁", fit.cd0Sigma, ""),
    step(figure, "k", "Drag by lift squared", "least squares of y", fit.k, ""),
    step(figure, "σ(k)", "its standard deviation", "√((AᵀA)⁻¹)₂₂", fit.kSigma, ""),
    step(figure, "χ²", "Squares over degrees of freedom", "Σ((y − model)/σ)²/(n − 2)", fit.chiSquared, ""),
    ...(figure === "ratio"
      ? [
          step(figure, "(L/D)max", "Best glide ratio", "1/(2·√(k·CD0))", fit.bestRatio, "", "parabolic polar"),
          step(figure, "σ", "its standard deviation", "first order", fit.bestRatioSigma, ""),
        ]
      : []),
    ...(figure === "speed"
      ? [
          step(
            figure,
            "V_BG",
            "Its equivalent airspeed",
            "√(2·(W/S)/ρ0·√(k/CD0))",
            fit.bestEas_mps,
            "m/s",
            "parabolic polar",
          ),
          step(figure, "σ", "its standard deviation", "first order", fit.bestEasSigma_mps, "m/s"),
        ]
      : []),
  ]);
}
