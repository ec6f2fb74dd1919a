<?php

declare(strict_types=1);

namespace App\Session;

use App\Studio\CurrentStudio;
use App\Studio\Studio;
use App\Studio\User;
use App\Support\Refused;
use Crown\Json\Node;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\RateLimiter;

/**
 * Links by which somebody without an account sees one thing: 128 bits of chance, of which only the hash is kept. All of
 * them live here, whatever they show.
 */
final class PrivateLinks
{
    /** Links that are none, in a minute, from one address. */
    private const GUESSES = 60;

    public function __construct(private readonly CurrentStudio $studio)
    {
    }

    /** @return string the link, shown this once */
    public function make(User $by, LinkKind $kind, int $subject, string $title): string
    {
        $token = Token::fresh();
        DB::table('private_links')->insert([
            'studio_id' => $by->studio_id,
            'kind' => $kind->value,
            'subject_id' => $subject,
            'title' => mb_substr($title, 0, 200),
            'hash' => Token::hash($token),
            'by_name' => $by->name,
            'created_at' => Carbon::now(),
            'updated_at' => Carbon::now(),
        ]);
        SecurityLog::write($by->studio_id, $by->name, SecurityKind::Linked, $title);

        return url($kind->page().$token);
    }

    /**
     * What a link shows; the request is in that studio from here on, and in nothing else of it than what is asked for
     * by this number.
     *
     * @throws Refused when it was ended, or never was
     */
    public function open(LinkKind $kind, string $token): int
    {
        $row = DB::table('private_links')
            ->where('kind', $kind->value)
            ->where('hash', Token::hash($token))
            ->first(['id', 'studio_id', 'subject_id']);
        if ($row === null) {
            // What fits is never counted: whoever guesses keeps nobody's link shut.
            $key = 'look:'.request()->ip();
            if (RateLimiter::tooManyAttempts($key, self::GUESSES)) {
                throw new TooManyTries(RateLimiter::availableIn($key));
            }
            RateLimiter::hit($key, 60);
            throw Refused::missing('token', 'This link was ended. Ask whoever gave it to you.');
        }
        $of = Node::of((array) $row);
        DB::table('private_links')->where('id', $of->whole('id'))->update(['last_used_at' => Carbon::now()]);
        $this->studio->enter(Studio::query()->findOrFail((int) $of->whole('studio_id')));

        return (int) $of->whole('subject_id');
    }

    /** @return list<array<string, mixed>> the latest first, without the links themselves */
    public function all(): array
    {
        $rows = DB::table('private_links')
            ->where('studio_id', $this->studio->get()->id)
            ->orderByDesc('id')
            ->get(['id', 'kind', 'title', 'by_name', 'created_at', 'last_used_at'])
            ->all();

        return array_values(array_map(static function (object $row): array {
            $of = Node::of((array) $row);

            return [
                'id' => (int) $of->whole('id'),
                'kind' => $of->text('kind'),
                'title' => $of->text('title'),
                'by' => $of->text('by_name'),
                'made_at' => Carbon::parse($of->text('created_at'))->toIso8601String(),
                'used_at' => $of->has('last_used_at')
                    ? Carbon::parse($of->text('last_used_at'))->toIso8601String()
                    : null,
            ];
        }, $rows));
    }

    /** @throws Refused when there is none */
    public function end(int $link, User $by): void
    {
        $ended = DB::table('private_links')->where('studio_id', $by->studio_id)->where('id', $link)->delete();
        if ($ended === 0) {
            throw Refused::missing('link', 'This link was ended already.');
        }
        SecurityLog::write($by->studio_id, $by->name, SecurityKind::Unlinked);
    }
}
