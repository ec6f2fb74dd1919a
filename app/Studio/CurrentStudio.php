<?php

declare(strict_types=1);

namespace App\Studio;

use Crown\Json\Node;
use Illuminate\Contracts\Auth\Factory as Auth;
use Illuminate\Support\Facades\DB;
use LogicException;

/** The studio on whose behalf something is done: that of the signed-in person, or one entered by a command. */
final class CurrentStudio
{
    private ?Studio $entered = null;

    public function __construct(private readonly Auth $auth)
    {
    }

    /** Fails closed: without a studio no row can be read or written. */
    public function get(): Studio
    {
        if ($this->entered !== null) {
            return $this->entered;
        }
        $user = $this->auth->guard('web')->user();

        return $user instanceof User ? $user->studio : throw new LogicException('No studio has been entered.');
    }

    /**
     * The studio as it stands now, held until the transaction ends: of two changes made in one breath, the second reads
     * what the first has written.
     */
    public function held(): Studio
    {
        $studio = $this->get();
        $studio->setRawAttributes(Studio::query()->lockForUpdate()->findOrFail($studio->id)->getAttributes(), true);

        return $studio;
    }

    /**
     * The studio's rows of a table, as they are: for what every evaluation asks. A model's class is looked through anew
     * in each request before its first row, and that takes longer than the question.
     *
     * @param  literal-string  $table of ours, and what is joined to it
     * @param  literal-string  $columns
     * @param  literal-string  $order what follows the condition
     * @param  list<string>  $asked what stands for the question marks among the columns
     * @return list<Node>
     */
    public function rows(
        string $table,
        string $columns = '*',
        string $order = 'order by id',
        array $asked = [],
    ): array {
        $own = strtok($table, ' ');
        $question = "select $columns from $table where $own.studio_id = ? $order";

        return array_map(
            static fn (mixed $row): Node => Node::of((array) $row),
            array_values(DB::select($question, [...$asked, $this->get()->id])),
        );
    }

    /**
     * Works as this studio from here on: for commands, which have no signed-in person, and where the person is known
     * already.
     */
    public function enter(Studio $studio): void
    {
        $this->entered = $studio;
    }

    /** Two who number something at once take turns: the studio is held until the transaction ends. */
    public function hold(): void
    {
        Studio::query()
            ->whereKey($this->get()->id)
            ->lockForUpdate()
            ->value('id');
    }

    public function leave(): void
    {
        $this->entered = null;
    }
}
