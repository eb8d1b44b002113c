<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy as By;
use Facebook\WebDriver\WebDriverKeys as Keys;
use Tests\Browser\Support\Chrome;
use Tests\Browser\Support\Desk;

/** One's own account, from the menu that stands on every page. */
final class AccountTest extends BrowserCase
{
    public function test_a_name_is_changed_a_wrong_password_refused_and_the_sessions_are_told(): void
    {
        $this->desk->pressOn('[aria-label="Your menu"]');
        $this->desk->waitFor('[role=menuitem]');
        $this->desk->pressOn('//*[@role="menuitem"][normalize-space()="Your account"]');
        $this->desk->waitForText('Where you are signed in');
        $this->desk->waitForText('here, now');
        self::assertSame([], $this->axe());
        $name = $this->value('Name', 0);
        $this->write('Name', 0, 'Una Marlow', Keys::ENTER);
        $this->desk->waitForText('Saved.');
        // what is refused stays typed, with the reason at its field
        $this->write('Email', 1, 'not the password');
        $this->write('Email', 0, 'other@skerrow.example', Keys::ENTER);
        $this->desk->waitForText('That is not your current password.');
        self::assertSame('other@skerrow.example', $this->value('Email', 0));
        // as it was, for whoever comes after
        $this->write('Name', 0, $name, Keys::ENTER);
        $this->desk->waitUntil(fn (): bool => str_contains((string) $this->desk->driver->executeAsyncScript(
            'const done = arguments[0]; fetch("/api/account").then((r) => r.text()).then(done);',
        ), $name), 'the name as it was');
    }

    public function test_a_forgotten_password_is_set_anew_by_the_link_in_the_letter(): void
    {
        $other = new Desk(Chrome::open(softwareGl: false), (string) getenv('ISLEWARD_ADDRESS'));
        try {
            $other->driver->get((string) getenv('ISLEWARD_ADDRESS'));
            $other->waitForText('Password forgotten?');
            $other->press('Password forgotten?');
            $other->waitForText('Type your email above first');
            $other->css('input[type=email]')->sendKeys('mate@skerrow.example');
            $other->press('Password forgotten?');
            $other->waitForText('a link to set a new password is on its way');
            // in place of a mail server it lies in the outbox, which is read where one is signed in still
            $other->signIn('mate@skerrow.example');
            $other->driver->get((string) getenv('ISLEWARD_ADDRESS').'/outbox');
            $other->waitForText('A new password for Isleward');
            $link = (string) $other->css('[data-letter="mate@skerrow.example"] a')->getAttribute('href');
            $other->driver->get($link);
            $other->waitForText('A new password');
            $other->css('input[type=password]')->sendKeys('harbour-light'.Keys::ENTER);
            $other->waitForText('Start a project');
            // the link is good once
            $other->driver->get($link);
            $other->css('input[type=password]')->sendKeys('harbour-light'.Keys::ENTER);
            $other->waitForText('This link is over');
        } finally {
            $other->driver->quit();
        }
    }

    public function test_what_becomes_of_ones_projects_is_asked_before_an_account_goes(): void
    {
        $this->desk->driver->get((string) getenv('ISLEWARD_ADDRESS').'/account');
        $this->desk->press('Delete your account…');
        $this->desk->waitForText('This cannot be undone.');
        self::assertNotNull($this->desk->button('Delete the account')->getAttribute('disabled'), 'before it is said');
        $this->pick('What becomes of Skerrow Pilot House', 'is owned by Ebba Stroom then');
        $this->desk->css('[role=dialog] input[type=password]')->sendKeys('not the password');
        $this->desk->press('Delete the account');
        $this->desk->waitForText('That is not your current password.');
        self::assertSame([], $this->axe());
        $this->desk->press('Cancel');
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
