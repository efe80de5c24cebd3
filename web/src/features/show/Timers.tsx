import { useEffect, useRef } from "react";
import s from "./Show.module.css";
import { clock, type Timer, useNow } from "./useRun";

/** A short low tone; where a browser allows none, what is written is enough. */
function call() {
  try {
    const sound = new AudioContext();
    const tone = sound.createOscillator();
    const gain = sound.createGain();
    tone.frequency.value = 520;
    gain.gain.setValueAtTime(0.15, sound.currentTime);
    gain.gain.exponentialRampToValueAtTime(0.001, sound.currentTime + 0.8);
    tone.connect(gain).connect(sound.destination);
    tone.start();
    tone.stop(sound.currentTime + 0.8);
    tone.onended = () => void sound.close();
  } catch {
    // Nothing to hear it with.
  }
}

/** What is still setting, over all steps; it calls when it is done. */
export function Timers({ timers, quiet, onPutAway }: { timers: Timer[]; quiet: boolean; onPutAway: (id: string) => void }) {
  const now = useNow();
  const called = useRef(new Set<string>());
  const due = timers.filter((t) => t.ends <= now);
  useEffect(() => {
    for (const timer of due) {
      if (!called.current.has(timer.id)) {
        called.current.add(timer.id);
        if (!quiet && now - timer.ends < 5000) {
          call();
        }
      }
    }
  }, [due, quiet, now]);
  return (
    <div className={s.timers} data-part="timers">
      {timers
        .filter((t) => t.ends > now)
        .map((t) => (
          <span key={t.id} role="timer" aria-label={`${t.label}: ${clock(t.ends - now)} left`}>
            <b>{clock(t.ends - now)}</b> {t.label}
          </span>
        ))}
      {due.map((t) => (
        <button key={t.id} type="button" className={s.due} onClick={() => onPutAway(t.id)} title="put it away">
          <b>Done:</b> {t.label}
        </button>
      ))}
      <span className="unseen" role="alert">
        {due.map((t) => `Done: ${t.label}. `).join("")}
      </span>
    </div>
  );
}
