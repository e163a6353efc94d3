#!/usr/bin/env python3
"""Makes the sounds of the bench, src/desktop/device/sounds/*.wav: struck bars, each with the partials of a bar that is free at
both ends (1 : 2.756 : 5.404, Rayleigh, The Theory of Sound, art. 170 ff.), one channel, 16 bit, 22 050 a second."""
import math
import pathlib
import struct
import wave

RATE = 22050
SOUNDS = {  # (s from the start, Hz), …
    "due": [(0.0, 784.0), (0.22, 1046.5)],
    "late": [(0.0, 1046.5), (0.16, 1046.5), (0.32, 1046.5), (0.48, 784.0)],
}
PARTIALS = [(1.0, 1.0, 0.45), (2.756, 0.35, 0.2), (5.404, 0.12, 0.08)]  # of the pitch, how strong, s to a third of it
RING, LOUD = 0.75, 0.5


def bar(seconds: float, pitch: float) -> float:
    if seconds < 0:
        return 0.0
    return min(1.0, seconds / 0.004) * sum(
        strong * math.exp(-seconds / fades) * math.sin(2 * math.pi * pitch * ratio * seconds) for ratio, strong, fades in PARTIALS)


folder = pathlib.Path(__file__).resolve().parent.parent / "src/desktop/device/sounds"
for name, notes in SOUNDS.items():
    count = int((notes[-1][0] + RING) * RATE)
    tones = [sum(bar(i / RATE - at, pitch) for at, pitch in notes) for i in range(count)]
    fade = int(0.05 * RATE)
    for i in range(fade):
        tones[count - 1 - i] *= i / fade
    top = max(abs(t) for t in tones)
    with wave.open(str(folder / f"{name}.wav"), "wb") as out:
        out.setnchannels(1)
        out.setsampwidth(2)
        out.setframerate(RATE)
        out.writeframes(b"".join(struct.pack("<h", round(32767 * LOUD * t / top)) for t in tones))
