import { createSelector } from '@reduxjs/toolkit';
import type { Library, Words } from '@odograph/core';
import { useSelector } from 'react-redux';
import { clipViews, type ClipView } from './clipViews.js';
import { selectLibrary, selectWords } from './library.selectors.js';

const selectClipViews = createSelector([selectLibrary, selectWords], clipViews);

export const useLibrary = (): Library => useSelector(selectLibrary);
export const useWords = (): Words => useSelector(selectWords);
export const useClipViews = (): readonly ClipView[] => useSelector(selectClipViews);
