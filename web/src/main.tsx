import "@mantine/core/styles.css";
import "@fontsource-variable/inter/wght.css";
import "@fontsource-variable/bricolage-grotesque/wght.css";
import "./app/tokens.css";
import "./app/base.css";
import { MantineProvider } from "@mantine/core";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { setNonce } from "get-nonce";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { mayTryAgain } from "./api/client";
import { App } from "./app/App";
import { theme } from "./app/theme";

const nonce = document.querySelector<HTMLMetaElement>('meta[property="csp-nonce"]')?.nonce ?? "";
setNonce(nonce);

const queries = new QueryClient({
  defaultOptions: {
    queries: { retry: (failed, error) => failed < 3 && mayTryAgain(error), refetchOnWindowFocus: true },
    mutations: { retry: (failed, error) => failed < 3 && mayTryAgain(error) },
  },
});
const root = document.getElementById("root");
if (root) {
  createRoot(root).render(
    <StrictMode>
      <MantineProvider theme={theme} defaultColorScheme="auto" getStyleNonce={() => nonce}>
        <QueryClientProvider client={queries}>
          <App />
        </QueryClientProvider>
      </MantineProvider>
    </StrictMode>,
  );
}
