/** How Debian's Chromium is started everywhere here: no network of its own, no screen. */
export const launch = {
  executablePath: process.env.CHROMIUM ?? "/usr/bin/chromium",
  args: [
    "--headless",
    "--no-sandbox",
    "--disable-gpu",
    "--disable-quic",
    "--no-first-run",
    "--disable-background-networking",
    "--disable-component-update",
    "--disable-sync",
  ],
};
