<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy as By;
use Facebook\WebDriver\WebDriverKeys as Keys;

/** One's own account, from the menu that stands on every page. */
final class AccountTest extends BrowserCase
{
    public function test_a_name_is_changed_a_wrong_password_refused_and_the_sessions_are_told(): void
    {
        $this->desk->css('[aria-label="Your menu"]')->click();
        $this->desk->waitFor('[role=menuitem]');
        $this->desk->driver->findElement(By::xpath('//*[@role="menuitem"][normalize-space()="Your account"]'))->click();
        $this->desk->waitForText('Where you are signed in');
        $this->desk->waitForText('here, now');
        self::assertSame([], $this->axe());
        $name = $this->value('Name', 0);
        $this->write('Name', 0, 'Una Marlow', Keys::ENTER);
        $this->desk->waitForText('Saved.');
        // what is refused stays typed, with the reason at its field
        $this->write('Email', 1, 'not the password');
        $this->write('Email', 0, 'other@skerrow.example', Keys::ENTER);
        $this->desk->waitForText('That is not your password of now.');
        self::assertSame('other@skerrow.example', $this->value('Email', 0));
        // as it was, for whoever comes after
        $this->write('Name', 0, $name, Keys::ENTER);
        $this->desk->waitUntil(fn (): bool => str_contains((string) $this->desk->driver->executeAsyncScript(
            'const done = arguments[0]; fetch("/api/account").then((r) => r.text()).then(done);',
        ), $name), 'the name as it was');
    }

    private function write(string $form, int $field, string $text, string $then = ''): void
    {
        $this->desk->driver->executeScript('arguments[0].focus(); arguments[0].select();', [$this->field($form, $field)]);
        $this->field($form, $field)->sendKeys($text.$then);
    }

    private function value(string $form, int $field): string
    {
        return (string) $this->field($form, $field)->getAttribute('value');
    }

    private function field(string $form, int $i): \Facebook\WebDriver\Remote\RemoteWebElement
    {
        return $this->desk->driver->findElements(By::cssSelector("form[aria-label=\"$form\"] input"))[$i];
    }
}
