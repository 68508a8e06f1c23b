import { useEffect, useRef } from 'react';
import { useTranslation } from 'react-i18next';
import { useLocation } from 'react-router';

/** Whether something of the place itself has the focus: a tab of it that was pressed keeps it. */
function isFocusInside(): boolean {
  const { activeElement } = document;
  return activeElement !== null && activeElement !== document.body && activeElement.closest('main') !== null;
}

/**
 * The page is called after its heading, and after a change of place the heading has the focus: whoever hears the page
 * is told where they are, and the tab key goes on from there.
 */
export function usePlaceTitle(): void {
  const { t } = useTranslation();
  const { pathname } = useLocation();
  const isFirst = useRef(true);
  const name = t('app.name');
  useEffect(() => {
    let mayFocus = !isFirst.current && !isFocusInside();
    isFirst.current = false;
    const follow = (): void => {
      const heading = document.querySelector('h1');
      if (!heading) return;
      const title = `${heading.dataset['title'] ?? heading.textContent} · ${name}`;
      if (document.title !== title) document.title = title;
      if (!mayFocus) return;
      mayFocus = false;
      heading.tabIndex = -1;
      heading.focus({ preventScroll: true });
    };
    const observer = new MutationObserver(follow);
    observer.observe(document.body, { childList: true, subtree: true, characterData: true });
    follow();
    return () => {
      observer.disconnect();
    };
  }, [pathname, name]);
}
