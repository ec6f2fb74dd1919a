<?php

declare(strict_types=1);

namespace Tests\Feature;

final class MethodsTest extends StudioTestCase
{
    public function test_every_page_can_be_read(): void
    {
        $items = $this->got('MethodList', 'GET', 'methods')['items'];
        self::assertCount(count(glob(base_path('docs/methods/*.md')) ?: []), $items);
        foreach ($items as $item) {
            $page = $this->got('MethodPage', 'GET', 'methods/'.$item['name']);
            self::assertSame($item['title'], $page['title']);
            self::assertStringContainsString('Worked example', $page['text']);
            self::assertStringNotContainsString('# '.$page['title'], $page['text'], 'the title stands once');
        }
    }

    public function test_pages_stand_in_the_order_of_their_titles(): void
    {
        $titles = array_column($this->got('MethodList', 'GET', 'methods')['items'], 'title');
        $sorted = $titles;
        natcasesort($sorted);

        self::assertSame(array_values($sorted), $titles);
        self::assertContains('Texture', $titles);
    }

    public function test_what_is_no_page_is_not_found(): void
    {
        foreach (['nonsense', '../README', 'texture.md', '..%2F..%2Fcomposer', 'A'] as $name) {
            $this->ask('GET', 'methods/'.$name)->assertStatus(404);
        }
    }
}
