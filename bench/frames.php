<?php

declare(strict_types=1);

/*
 * Frames a second of a desk over three seconds in which every animation frame does a step: some JavaScript that knows t (ms), frames, and
 * send(type, dx, dy) for a pointer event from the middle of the pane.
 */

use Tests\Browser\Support\Desk;

return static function (Desk $desk): Closure {
    $desk->driver->manage()->timeouts()->setScriptTimeout(60);

    return static fn (string $pane, string $step): float => (float) $desk->driver->executeAsyncScript(<<<JS
        const done = arguments[0];
        const pane = document.querySelector('[data-pane=$pane]');
        const r = pane.getBoundingClientRect();
        const x = r.left + r.width / 2, y = r.top + r.height / 2;
        const send = (type, dx, dy) => pane.dispatchEvent(new PointerEvent(type, {
            pointerId: 1, bubbles: true, button: 1, clientX: x + dx, clientY: y + dy,
        }));
        pane.setPointerCapture = () => {};
        let frames = 0;
        const start = performance.now();
        const step = (now) => {
            frames++;
            const t = now - start;
            $step
            if (t < 3000) requestAnimationFrame(step);
            else { send('pointerup', 0, 0); done(frames / ((performance.now() - start) / 1000)); }
        };
        requestAnimationFrame(step);
        JS);
};
