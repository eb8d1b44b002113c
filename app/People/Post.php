<?php

declare(strict_types=1);

namespace App\People;

use App\Models\Letter;
use App\Models\User;
use Illuminate\Support\Facades\Mail;

/** Letters: into the simulated outbox, or as real mail where that is set (ISLEWARD_MAIL, with Laravel's MAIL_*). */
final class Post
{
    /** An invitation can always be passed on by hand too: it is in the outbox of whoever sends it in any case. */
    public function inNameOf(User $by, string $to, string $subject, string $body): void
    {
        $this->keep($by, $to, $subject, $body);
        $this->mail($to, $subject, $body);
    }

    /** What is for the person alone is kept only where no mail goes out. */
    public function to(User $user, string $subject, string $body): void
    {
        if (! $this->mail($user->email, $subject, $body)) {
            $this->keep($user, $user->email, $subject, $body);
        }
    }

    private function keep(User $by, string $to, string $subject, string $body): void
    {
        Letter::query()->create(
            ['user_id' => $by->id, 'recipient' => $to, 'subject' => $subject, 'created_at' => now(), 'body' => $body],
        );
    }

    private function mail(string $to, string $subject, string $body): bool
    {
        if (! config()->boolean('isleward.mail')) {
            return false;
        }
        Mail::raw($body, static fn ($message) => $message->to($to)->subject($subject));

        return true;
    }
}
