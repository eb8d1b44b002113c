<?php

declare(strict_types=1);

namespace Tests\Feature;

/** The page that every view begins as: who is signed in, and what its view asks for first. */
final class PageTest extends ProjectCase
{
    public function test_it_says_who_is_signed_in_and_is_kept_by_no_browser(): void
    {
        $this->owner->update(['name' => 'Runa </script><b>Vell</b>']);
        $page = $this->get('/account')->assertOk();
        self::assertStringContainsString('no-store', (string) $page->headers->get('Cache-Control'));
        self::assertStringNotContainsString('<b>', (string) $page->getContent());
        self::assertSame(
            ['user' => ['name' => 'Runa </script><b>Vell</b>', 'email' => $this->owner->email, 'guest' => false], 'first' => false],
            self::said((string) $page->getContent()),
        );
        self::assertSame($this->getJson('/api/session')->json(), self::said((string) $page->getContent()));
        $this->app?->make('auth')->forgetGuards();
        self::assertSame(['user' => null, 'first' => false], self::said((string) $this->get('/')->getContent()));
    }

    public function test_a_project_s_page_asks_for_its_drawing_and_its_scripts_at_once(): void
    {
        $id = $this->project->id;
        $asked = self::asked((string) $this->get("/projects/$id")->getContent());
        self::assertSame(["/api/projects/$id", "/api/projects/$id/elevations/first"], $asked['preload']);
        foreach ($asked['preload'] as $answer) {
            $this->getJson($answer)->assertOk();
        }
        self::assertSame(['desk'], array_map(self::part(...), $asked['modulepreload']));
        self::assertSame(['menus', 'beside'], array_map(self::part(...), $asked['then']));
        foreach ([...$asked['modulepreload'], ...$asked['then']] as $script) {
            self::assertFileExists(public_path($script));
        }
        self::assertSame(['/api/projects'], self::asked((string) $this->get('/')->getContent())['preload']);
        self::assertSame([], self::asked((string) $this->get("/projects/$id/sheets")->getContent())['preload']);
        // nobody is signed in: what would be refused is not asked for
        $this->app?->make('auth')->forgetGuards();
        self::assertSame([], self::asked((string) $this->get("/projects/$id")->getContent())['preload']);
    }

    /** @return array<string, mixed> */
    private static function said(string $page): array
    {
        self::assertSame(1, preg_match('~<script type="application/json" id="session">(.*?)</script>~s', $page, $found));

        return json_decode($found[1], true, flags: JSON_THROW_ON_ERROR);
    }

    /** @return array{preload: list<string>, modulepreload: list<string>, then: list<string>} addresses by how they are asked for */
    private static function asked(string $page): array
    {
        $found = ['preload' => [], 'modulepreload' => [], 'then' => []];
        preg_match_all('~<link (?:rel="(preload)" as="fetch"|rel="(modulepreload)"|data-(then)) href="([^"]+)"~', $page, $links, PREG_SET_ORDER);
        foreach ($links as [, $preload, $module, $then, $at]) {
            // the page's own script is named by what builds the interface
            if (! str_contains($at, '/app-')) {
                $found[$preload.$module.$then][] = $at;
            }
        }

        return $found;
    }

    private static function part(string $script): string
    {
        return (string) preg_replace('~.*/(\w+)-[^/]*$~', '$1', $script);
    }
}
