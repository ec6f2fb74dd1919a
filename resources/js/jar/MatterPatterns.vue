<template>
    <!-- One set of patterns for the whole page: matter is told apart without colour. -->
    <svg width="0" height="0" class="absolute" aria-hidden="true" focusable="false">
        <defs>
            <pattern id="matter-liquid" width="14" height="8" patternUnits="userSpaceOnUse">
                <rect width="14" height="8" fill="var(--matter-liquid)" />
                <path d="M0 4q3.5-3 7 0t7 0" fill="none" stroke="var(--matter-line)" stroke-width=".5" opacity=".4" />
            </pattern>
            <pattern id="matter-soft-fat" width="9" height="9" patternUnits="userSpaceOnUse">
                <rect width="9" height="9" fill="var(--matter-soft-fat)" />
                <circle cx="2" cy="2" r=".9" fill="var(--matter-line)" opacity=".45" />
                <circle cx="6.5" cy="6.5" r=".9" fill="var(--matter-line)" opacity=".45" />
            </pattern>
            <pattern id="matter-hard-fat" width="7" height="7" patternUnits="userSpaceOnUse">
                <rect width="7" height="7" fill="var(--matter-hard-fat)" />
                <path d="M0 0l7 7M7 0L0 7" stroke="var(--matter-line)" stroke-width=".6" opacity=".4" />
            </pattern>
            <pattern id="matter-wax" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
                <rect width="6" height="6" fill="var(--matter-wax)" />
                <path d="M0 0v6" stroke="var(--matter-line)" stroke-width="1.4" opacity=".4" />
            </pattern>
            <pattern id="matter-plant" width="12" height="12" patternUnits="userSpaceOnUse">
                <rect width="12" height="12" fill="var(--matter-plant)" />
                <path d="M2 9q1-5 5-6-1 5-5 6M8 11q.5-3 3-4" fill="none" stroke="var(--matter-line)" stroke-width=".8" opacity=".55" />
            </pattern>
            <pattern id="matter-water" width="10" height="10" patternUnits="userSpaceOnUse">
                <rect width="10" height="10" fill="var(--matter-water)" />
                <circle cx="5" cy="5" r="2" fill="none" stroke="var(--matter-line)" stroke-width=".7" opacity=".5" />
            </pattern>
            <pattern id="matter-active" width="9" height="9" patternUnits="userSpaceOnUse">
                <rect width="9" height="9" fill="var(--matter-active)" />
                <path d="M4.5 2v5M2 4.5h5" stroke="var(--matter-line)" stroke-width=".9" opacity=".55" />
            </pattern>
            <pattern id="matter-unknown" width="8" height="8" patternUnits="userSpaceOnUse">
                <rect width="8" height="8" fill="var(--matter-unknown)" />
                <path d="M0 4h4" stroke="var(--matter-line)" stroke-width=".8" opacity=".6" />
            </pattern>
        </defs>
    </svg>
</template>
