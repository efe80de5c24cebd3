import { createBrowserRouter, RouterProvider } from "react-router";
import { Lost } from "../features/help/Lost";
import { Shell, Waiting } from "./Shell";
import { drawer, type Stage, stages } from "./stages";

const route = ({ path, load }: Stage) => ({ path, lazy: async () => ({ Component: await load() }) });

/** Every view is loaded when it is first gone to; the shell round them stays. */
const router = createBrowserRouter([
  {
    element: <Shell />,
    hydrateFallbackElement: <Waiting />,
    children: [
      { path: "/", lazy: async () => ({ Component: (await import("../features/drawer/Start")).Start }) },
      ...[...stages, drawer].map(route),
      { path: "*", element: <Lost /> },
    ],
  },
]);

export function App() {
  return <RouterProvider router={router} />;
}
