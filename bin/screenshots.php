<?php

declare(strict_types=1);

/* One picture of each main view, from the demo project. Arguments: the server's address, the folder. */

require __DIR__.'/../vendor/autoload.php';

use Facebook\WebDriver\WebDriverKeys as Keys;
use Tests\Browser\Support\Chrome;
use Tests\Browser\Support\Desk;

/** @var list<string> $argv */
[, $address, $folder] = $argv;
$desk = new Desk(Chrome::open(), $address);
$shoot = static function (string $name) use ($desk, $folder): void {
    usleep(900_000);
    $desk->driver->takeScreenshot("$folder/$name.png");
    echo "· $folder/$name.png\n";
};
$take = static fn (string $mark) => $desk->css(sprintf('[aria-label="Unit types"] [aria-label^="%s "]', $mark))->click();

$desk->driver->get($address);
$desk->signIn();
$desk->openProject('Skerrow Pilot House');
sleep(3);
$desk->click('elevation', 1730 + 2 * 2280 + 600, 7800 + 1600);
$shoot('desk');
$take('W-01');
$desk->hover('elevation', 16000, 1700);
usleep(300_000);
$desk->keys('1200+50');
$shoot('placing');
$desk->keys(Keys::ESCAPE, Keys::ESCAPE);
$focus = static fn () => $desk->driver->executeScript("document.querySelector('[data-pane=elevation]').focus()");
$desk->keys(Keys::ESCAPE, Keys::HOME);
usleep(400_000);
$desk->driver->navigate()->refresh();
$desk->ready();
sleep(2);
// many at once
$desk->keys(Keys::ESCAPE, Keys::ESCAPE);
$desk->click('elevation', 1730 + 600, 4200 + 1600);
$focus();
$desk->keys('g');
$desk->waitFor('[data-found="28"]');
$shoot('gather');
$desk->keys(Keys::ESCAPE);
// setting out
$desk->keys(Keys::ESCAPE);
$desk->css('[data-line="Quay edge"]')->click();
$desk->keys('q');
$shoot('lines');
$desk->keys('q', Keys::ESCAPE, Keys::ESCAPE);
// fins under a law
$desk->button('Weather fins')->click();
$desk->waitFor('[data-graph=reach]');
sleep(2);
$shoot('fins');
// a screen with a cut-out chosen
$desk->keys(Keys::ESCAPE);
$desk->css('nav[aria-label="Frontages"] button[title^="North ·"]')->click();
$desk->ready();
sleep(1);
$north = (float) $desk->driver->executeAsyncScript(
    'const done = arguments[0]; fetch(`/api${location.pathname}`).then((r) => r.json())'
    .'.then((p) => done(p.frontages.find((f) => f.name === "North").offset));',
);
$desk->click('elevation', $north + 300, 3900);
$desk->waitForText('before one wall');
$desk->click('elevation', $north + 2880, 3280);
$desk->waitForText('Cut-out 3 of Wind screen');
$shoot('screen');
// a roof with gables, and the raised strip on it
$desk->keys(Keys::ESCAPE, Keys::ESCAPE);
$desk->css('nav[aria-label="Frontages"] button[title^="East 2 ·"]')->click();
$desk->ready();
$desk->button('Workshop roof')->click();
$desk->waitForText('faces over Boat workshop');
sleep(2);
$shoot('roof');
$desk->keys(Keys::ESCAPE, Keys::ESCAPE);
$desk->keys(Keys::ESCAPE, Keys::HOME);
$desk->ready();
$desk->button('7 findings')->click();
$desk->button('West · Quay')->click();
$desk->button('7 findings')->click();
$shoot('findings');
$desk->keys(Keys::ESCAPE, Keys::HOME);
$desk->button('Schedules')->click();
$desk->waitFor('tr[aria-label^="W-05"]');
$desk->driver->executeScript('arguments[0].scrollIntoView({block: "center"})', [$desk->css('tr[aria-label^="W-05"]')]);
$desk->css('tr[aria-label^="W-05"]')->click();
$shoot('schedules');
$desk->button('Given')->click();
$desk->waitFor('[data-held]');
$shoot('given');
$desk->button('Close the schedules')->click();
$desk->keys(Keys::ESCAPE);
$desk->driver->executeScript("[...document.querySelectorAll('button')].find((b) => b.textContent.startsWith('Crew'))?.click()");
$desk->button('Plan')->click();
$desk->button('Enlarge the plan')->click();
$desk->ready();
$desk->keys(Keys::ESCAPE);
$desk->driver->executeScript("document.querySelector('[data-pane=plan]').focus()");
$desk->keys('j');
$desk->waitFor('[data-candidate]');
$desk->keys(Keys::HOME);
$shoot('plan');
$desk->keys(Keys::ESCAPE, Keys::ESCAPE);
$desk->button('Section')->click();
$desk->button('Enlarge the section')->click();
$desk->ready();
sleep(2);
$shoot('section');
$desk->button('Solid')->click();
$desk->button('Enlarge the solid')->click();
sleep(3);
$shoot('solid');
$desk->button('Elevation')->click();
$desk->button('Enlarge the elevation')->click();
// units
$project = $desk->driver->getCurrentURL();
$front = (string) $desk->driver->executeAsyncScript(
    'const done = arguments[0]; fetch(`/api${location.pathname}`).then((r) => r.json()).then((p) => done(p.types.find((t) => t.mark === "D-18").id));',
);
$desk->driver->get("$project/bench/$front");
$desk->waitFor('[data-light="0.3.0"]');
$desk->css('[data-light="0.3.0"]')->click();
$desk->waitFor('[data-light="0.3.0"][aria-pressed=true]');
$desk->driver->executeScript('document.querySelector("input[type=range], [role=slider]").focus()');
$desk->keys(...array_fill(0, 4, Keys::PAGE_UP));
$shoot('bench');
$desk->driver->get("$project/sheets");
$desk->waitFor('[data-block]');
sleep(2);
$shoot('sheet');
$desk->driver->get("$project/sheets?type=$front");
$desk->waitFor('[data-page] svg');
$shoot('unit-sheet');
// curtain walls
$grid = (string) $desk->driver->executeAsyncScript(
    'const done = arguments[0]; fetch(`/api/projects/${location.pathname.split("/")[2]}`).then((r) => r.json())'
    .'.then((p) => done(p.grids.find((g) => g.mark === "CW-03").id));',
);
$desk->driver->get("$project/grid-bench/$grid");
$desk->waitForText('in 1 run');
$shoot('grid-bench');
$desk->driver->get($project);
$desk->ready();
$desk->css('nav[aria-label="Frontages"] button[title^="South-west ·"]')->click();
$desk->ready();
sleep(1);
$at = (float) $desk->driver->executeAsyncScript(
    'const done = arguments[0]; fetch(`/api${location.pathname}`).then((r) => r.json())'
    .'.then((p) => done(p.frontages.find((f) => f.name === "South-west").offset));',
);
$desk->click('elevation', $at + 3000, 1900);
$desk->waitForText('Stretch 1 of 2 of a run');
$shoot('curtain-wall');
$desk->keys(Keys::ESCAPE);
$desk->button('Schedules')->click();
$desk->button('Cutting list')->click();
$desk->waitForText('% waste');
$shoot('cutting-list');
$desk->driver->quit();
