import { type ComponentType, lazy } from "react";
import { BrowserRouter, Route, Routes } from "react-router";
import { Lost } from "../features/help/Lost";
import { Shell } from "./Shell";
import { drawer, stages } from "./stages";

/** A view that is loaded when it is first gone to. */
const view = (load: () => Promise<ComponentType>) => lazy(async () => ({ default: await load() }));

const Start = view(async () => (await import("../features/drawer/Start")).Start);
const OwnPage = view(async () => (await import("../features/own/OwnPage")).OwnPage);
const KeptPage = view(async () => (await import("../features/cut/KeptPage")).KeptPage);
const BuildPage = view(async () => (await import("../features/build/BuildPage")).BuildPage);
const StandInsPage = view(async () => (await import("../features/standins/StandInsPage")).StandInsPage);
const views = [...stages, drawer].map(({ path, load }) => ({ path, View: view(load) }));

/** Every view by its address; the shell round them stays. */
export function App() {
  return (
    <BrowserRouter>
      <Routes>
        <Route element={<Shell />}>
          <Route path="/" element={<Start />} />
          <Route path="/own" element={<OwnPage />} />
          <Route path="/stand-ins/:id" element={<StandInsPage />} />
          <Route path="/cut/:id/kept/:plan" element={<KeptPage />} />
          <Route path="/build/:id" element={<BuildPage />} />
          {views.map(({ path, View }) => (
            <Route key={path} path={path} element={<View />} />
          ))}
          <Route path="*" element={<Lost />} />
        </Route>
      </Routes>
    </BrowserRouter>
  );
}
