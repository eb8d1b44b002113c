<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;

/** The list of projects: found by name, duplicated, renamed, archived, thrown away and taken back. */
final class ProjectsTest extends BrowserCase
{
    /** @return list<string> names in the list, from above */
    private function listed(): array
    {
        return array_map(
            static fn ($li): string => (string) $li->getAttribute('data-project'),
            $this->desk->driver->findElements(WebDriverBy::cssSelector('li[data-project]')),
        );
    }

    private function menu(string $project, string $item): void
    {
        $this->desk->press("What to do with $project");
        $this->desk->waitFor('[role=menuitem]');
        $this->desk->pressOn(sprintf('//*[@role="menuitem"][normalize-space()="%s"]', $item));
    }

    public function test_projects_are_kept_in_order(): void
    {
        $home = $this->desk->driver->getCurrentURL();
        $this->desk->pressOn('a[aria-label="Isleward, to the projects"]');
        $this->desk->waitFor('li[data-project="Skerrow Pilot House"]');
        $this->desk->waitForText('Demo');
        $this->desk->waitUntil(fn (): bool => (bool) $this->desk->driver->executeScript(
            'const i = document.querySelector("li[data-project] img"); return i && i.complete && i.naturalWidth > 0;',
        ), 'its picture');
        self::assertSame([], $this->axe());
        $this->menu('Skerrow Pilot House', 'Duplicate…');
        $this->desk->write('Name of the project', 'Harbour study');
        $this->desk->press('Duplicate');
        $this->desk->waitForText('Harbour study is made.');
        $this->desk->waitUntil(fn (): bool => in_array('Harbour study', $this->listed(), true), 'it is listed');
        $this->menu('Harbour study', 'Rename…');
        $this->desk->write('Name of the project', 'Harbour study 2');
        $this->desk->press('Rename');
        $this->desk->waitUntil(fn (): bool => in_array('Harbour study 2', $this->listed(), true), 'it is renamed');
        $this->desk->write('Find a project', 'harbour 2');
        $this->desk->waitUntil(fn (): bool => $this->listed() === ['Harbour study 2'], 'it is found');
        $this->desk->write('Find a project', 'nothing like it');
        $this->desk->waitForText('No project here is called “nothing like it”.');
        $this->desk->write('Find a project', 'h');
        $this->menu('Harbour study 2', 'Archive');
        $this->desk->waitForText('Harbour study 2 is archived.');
        $this->desk->waitUntil(fn (): bool => ! in_array('Harbour study 2', $this->listed(), true), 'it is put aside');
        $this->desk->press('Archived 1');
        $this->desk->waitUntil(fn (): bool => $this->listed() === ['Harbour study 2'], 'among the archived');
        $this->menu('Harbour study 2', 'Delete');
        $this->desk->waitForText('Harbour study 2 is in the bin for 30 days.');
        $this->desk->press('Bin 1');
        $this->desk->waitForText('deleted for good on');
        self::assertSame([], $this->axe());
        $this->menu('Harbour study 2', 'Delete for good…');
        $this->desk->waitForText('This cannot be undone.');
        $this->desk->press('Delete for good');
        $this->desk->waitForText('The bin is empty.');
        $this->desk->driver->get($home);
        $this->desk->ready();
    }
}
