<template>
    <div class="max-w-prose">
        <h1>There is nothing at this address</h1>
        <p class="mt-3">It may have been put away, or belong to another studio. The line at the top finds anything.</p>
        <RouterLink to="/" class="act mt-4">Go to today</RouterLink>
    </div>
</template>
